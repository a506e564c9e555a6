import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type DoubtOf, SURE } from "@/core/piece/doubt";
import { type Units } from "@/words/show";
import { templateDxf } from "./dxf";
import { type Paper } from "./pages";
import { type Print, templatesPdf } from "./pdf";
import { type Template, templatesOf } from "./sheet";
import { templateSvg } from "./svg";

export const TEMPLATE_FORMATS = ["pdf", "svg", "dxf"] as const;
export type TemplateFormat = (typeof TEMPLATE_FORMATS)[number];

export interface TemplateFile {
  readonly name: string;
  readonly type: string;
  readonly content: string | Uint8Array;
}

interface Asked {
  readonly piece: Piece;
  readonly plan: Plan;
  readonly units: Units;
  readonly revision: string;
  readonly paper: Paper;
  readonly doubtOf?: DoubtOf;
}

/** A piece's templates as files: one to be printed, or a drawing for each part. */
export async function templateFiles(
  format: TemplateFormat,
  { piece, plan, units, revision, paper, doubtOf = SURE }: Asked,
): Promise<TemplateFile[]> {
  const templates = templatesOf(piece, plan, units, doubtOf);
  return filesOf(format, templates, piece.id, `${piece.id}-templates`, { name: piece.name, revision, paper });
}

/** Templates as files whose names begin so: one to be printed, or a drawing for each. */
export async function filesOf(
  format: TemplateFormat,
  templates: readonly Template[],
  id: string,
  printed: string,
  print: Print,
): Promise<TemplateFile[]> {
  if (format === "pdf") return [{ name: `${printed}.pdf`, type: "application/pdf", content: await templatesPdf(templates, print) }];
  return templates.map((each) => ({
    name: `${id}-${each.id}.${format}`,
    type: format === "svg" ? "image/svg+xml" : "application/dxf",
    content: format === "svg" ? templateSvg(each) : templateDxf(each),
  }));
}
