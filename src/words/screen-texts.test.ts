import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

const read = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name))
    .map((name) => readFileSync(join(folder, name), "utf8"));

test("every text of the screens is used", () => {
  const texts = [
    ...read("src/words/screens"),
    ...["ui", "common", "app", "pictures"].map((name) => readFileSync(`src/words/${name}.ts`, "utf8")),
  ];
  const users = ["src/app", "src/ui", "src/screens"].flatMap(read).join("\n");
  const unused = texts
    .flatMap((file) => [...file.matchAll(/export const (\w+) = \{\n([\s\S]*?)\n\};/g)])
    .flatMap(([, table, body]) => [...body!.matchAll(/^ {2}(\w+):/gm)].map(([, key]) => `${table!}.${key!}`))
    .filter((text) => !new RegExp(`\\b${text.replace(".", "\\s*\\.")}\\b`).test(users));
  expect(unused).toEqual([]);
});
