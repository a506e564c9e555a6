import { stoneTint } from "./stone-tint";

interface Props {
  readonly material: string;
  readonly id?: string;
  /** Whether it fills a frame whose y runs upward; the light falls from above in both. */
  readonly isFlipped?: boolean;
}

/** Defines the fill named `id` for a stone of this material. */
export function StoneFill({ material, id = "stone", isFlipped = true }: Props) {
  const [lit, body, shade] = stoneTint(material);
  return (
    <defs>
      <radialGradient id={id} cx=".38" cy={isFlipped ? ".68" : ".32"} r=".85">
        <stop offset="0" stopColor={lit} />
        <stop offset=".5" stopColor={body} />
        <stop offset="1" stopColor={shade} />
      </radialGradient>
    </defs>
  );
}
