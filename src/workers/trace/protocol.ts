import { type Spot } from "@/core/trace/pixels";
import { type TraceRefusal } from "@/core/trace/refusal";
import { type Squares } from "@/core/trace/squares";
import { type SideReading } from "@/core/trace/side";
import { type TraceRequest, type Traced } from "@/core/trace/trace";
import { type Round } from "@/core/trace/round";
import { type Free } from "@/core/stone/shapes/free";
import { type Drawing } from "@/formats/drawings/drawing";

/** A picture, and a number that no other picture of the page has: a message brings a copy of the file. */
export interface AskedPicture {
  readonly id: number;
  readonly file: Blob;
}

/** Where a picture is taken from: straight above the stone, or its side. */
export type TraceView = "above" | "side";

/** What is asked of a picture or a drawing. */
export type TraceAsk =
  /** How large a picture is, and whether it shows squared paper. */
  | { readonly kind: "picture"; readonly picture: AskedPicture }
  /** Its stone. */
  | { readonly kind: "stone"; readonly picture: AskedPicture; readonly request: TraceRequest }
  /** The round thing at a spot. */
  | { readonly kind: "round"; readonly picture: AskedPicture; readonly at: Spot }
  /** What an outline that was traced from the side says of the stone. */
  | { readonly kind: "side"; readonly outline: Free }
  | { readonly kind: "drawing"; readonly name: string; readonly text: string }
  /** A picture that a camera would take, made up by its number. */
  | { readonly kind: "made-up"; readonly number: number; readonly view: TraceView };

export type TraceReply =
  | { readonly kind: "picture"; readonly width: number; readonly height: number; readonly squares: Squares | null }
  | { readonly kind: "stone"; readonly traced: Traced }
  | { readonly kind: "round"; readonly round: Round }
  | { readonly kind: "side"; readonly reading: SideReading }
  | { readonly kind: "drawing"; readonly drawing: Drawing }
  | { readonly kind: "made-up"; readonly file: Blob }
  | { readonly kind: "refused"; readonly refusal: TraceRefusal };
