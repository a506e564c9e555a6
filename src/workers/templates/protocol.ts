import { type Print } from "@/formats/templates/pdf";
import { type Template } from "@/formats/templates/sheet";

export interface PrintAsk {
  readonly templates: readonly Template[];
  readonly print: Print;
}

export type PrintReply = Uint8Array<ArrayBuffer>;
