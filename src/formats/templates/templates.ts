import { type Piece } from "@/core/piece/piece";
import { type Plan } from "@/core/piece/plan";
import { type DoubtOf, SURE } from "@/core/piece/doubt";
import { type Units } from "@/words/show";
import { templateDxf } from "./dxf";
import { type Paper } from "./pages";
import { templatesPdf } from "./pdf";
import { templatesOf } from "./sheet";
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
  if (format === "pdf") {
    const content = await templatesPdf(templates, { name: piece.name, revision, paper });
    return [{ name: `${piece.id}-templates.pdf`, type: "application/pdf", content }];
  }
  return templates.map((each) => ({
    name: `${piece.id}-${each.id}.${format}`,
    type: format === "svg" ? "image/svg+xml" : "application/dxf",
    content: format === "svg" ? templateSvg(each) : templateDxf(each),
  }));
}
