import { useId } from "react";
import { PAPERS, type Paper, layOut } from "@/formats/templates/pages";
import { type Template } from "@/formats/templates/sheet";
import { counted } from "@/words/names";
import { sheetsText } from "@/words/screens/templates";
import { Lines } from "./Lines";

/** Every sheet that is printed, small: what lies where. */
export function Sheets({ templates, paper }: { readonly templates: readonly Template[]; readonly paper: Paper }) {
  const clip = useId();
  const [wide, tall] = PAPERS[paper];
  const pages = layOut(templates, paper);
  return (
    <section aria-label={sheetsText.onPaper}>
      <h2 className="section-head">{sheetsText.sheets(counted(pages.length, "sheet"))}</h2>
      <ul className="flex flex-wrap gap-3 lg:max-w-98">
        {pages.map((placed, i) => (
          <li key={i}>
            <svg
              viewBox={`0 0 ${wide} ${tall}`}
              role="img"
              aria-label={sheetsText.sheet(i + 1, placed.map(({ template }) => template.title).join("; "))}
              className="block w-45 border border-line bg-white"
            >
              {placed.map(({ template, x, y, part }, n) => (
                <g key={n} clipPath={part ? `url(#${clip}${i})` : undefined}>
                  {part && (
                    <clipPath id={`${clip}${i}`}>
                      <rect x={part.at[0]} y={tall - part.at[1] - part.height} width={part.width} height={part.height} />
                    </clipPath>
                  )}
                  <Lines template={template} left={-x} top={tall - y} />
                </g>
              ))}
            </svg>
            <p className="text-xs text-soft">{sheetsText.number(i + 1, pages.length)}</p>
          </li>
        ))}
      </ul>
    </section>
  );
}
