import { mkdirSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { type TemplateFile } from "@/formats/templates/templates";
import { Misused, fromHere } from "./files";

/** Writes files to a directory, and says each one's name in a line of its own. @throws Misused where they cannot be written. */
export function written(directory: string, files: readonly TemplateFile[]): string {
  const out = fromHere(directory);
  try {
    mkdirSync(out, { recursive: true });
    return files
      .map(({ name, content }) => {
        writeFileSync(join(out, name), content);
        return `${name}\n`;
      })
      .join("");
  } catch (error) {
    if (error instanceof Error && "code" in error) throw new Misused(`cannot write to ${out}: ${String(error.code)}`);
    throw error;
  }
}
