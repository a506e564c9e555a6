"use client";

import { ArrowLeft, FileDown, Printer } from "lucide-react";
import { useEffect, useState } from "react";
import { type Template, templatesOf } from "@/formats/templates/sheet";
import { svgPath, templateSvg } from "@/formats/templates/svg";
import { type Paper, Papers } from "@/ui/Papers";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { saveFile } from "@/ui/save-file";
import { useSessionState } from "@/ui/session";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { printClient } from "@/workers/templates/client";
import { ScreenScale } from "./ScreenScale";
import { templatesScreenText } from "@/words/screens/templates";

const loadDxf = () => import("@/formats/templates/dxf");

/** What a browser takes for a millimetre where nobody has set the screen. */
const USUAL_PX_PER_MM = 96 / 25.4;

/** All that is cut, at true size on the screen, and as files to print, saw or engrave by. */
export function TemplatesScreen({ onBack }: { readonly onBack: () => void }) {
  const plan = usePlan();
  const units = useUnits();
  const doubtOf = useDoubt();
  const tray = useTray();
  const piece = useSessionState((state) => state.piece);
  const record = useTrayState(({ pieces }) => pieces.find(({ id }) => id === piece.id));
  const set = useTrayState(({ bench }) => bench.screen?.pxPerMm ?? null);
  const [paper, setPaper] = useState<Paper>("a4");
  const [client] = useState(printClient);
  const [isBusy, setBusy] = useState(false);
  const [failure, setFailure] = useState<Error | null>(null);
  useEffect(() => () => client.end(), [client]);
  if (failure) throw failure;
  const templates = templatesOf(piece, plan, units, doubtOf);
  const print = () => {
    setBusy(true);
    const revision = templatesScreenText.revision(record?.revision ?? 1);
    void client
      .ask({ templates, print: { name: piece.name, revision, paper } })
      .then((bytes) => bytes && saveFile(`${piece.id}-templates.pdf`, [bytes], "application/pdf"))
      .catch(setFailure)
      .finally(() => setBusy(false));
  };
  return (
    <main className="min-h-dvh bg-sheet">
      <div className="flex flex-wrap items-center gap-2 border-b border-line bg-paper px-4 py-2">
        <button type="button" className="btn" onClick={onBack}>
          <ArrowLeft size={14} aria-hidden="true" /> {templatesScreenText.backTo(piece.name)}
        </button>
        <span className="flex-1" />
        <Papers paper={paper} onChoose={setPaper} />
        <button type="button" className="btn btn-main" disabled={isBusy} onClick={print}>
          <Printer size={14} aria-hidden="true" /> {isBusy ? templatesScreenText.layingThemOut : templatesScreenText.saveToPrint}
        </button>
      </div>
      <div className="mx-auto max-w-377 px-6 py-5 max-lg:px-3.5">
        <h1 className="text-2xl font-bold font-condensed">
          {templatesScreenText.templates(set === null ? templatesScreenText.aboutLifeSize : templatesScreenText.lifeSize)}
        </h1>
        <p className="mb-3 max-w-183 text-sm text-soft">{templatesScreenText.printThemAt100And}</p>
        <ScreenScale
          pxPerMm={set ?? USUAL_PX_PER_MM}
          isSet={set !== null}
          onSet={(pxPerMm) => void tray.changeBench((bench) => void (bench.screen = { pxPerMm }))}
        />
        <ul className="mt-4 grid gap-5">
          {templates.map((template) => (
            <li key={template.id} className="border-t border-hair pt-2">
              <div className="flex flex-wrap items-center gap-2">
                <h2 className="min-w-0 flex-1 text-base font-strong">{template.title}</h2>
                <button
                  type="button"
                  className="btn btn-small"
                  aria-label={templatesScreenText.saveAsSvg(template.id)}
                  onClick={() => saveFile(`${piece.id}-${template.id}.svg`, [templateSvg(template)], "image/svg+xml")}
                >
                  <FileDown size={13} aria-hidden="true" /> {templatesScreenText.svg}
                </button>
                <button
                  type="button"
                  className="btn btn-small"
                  aria-label={templatesScreenText.saveAsDxf(template.id)}
                  onClick={() =>
                    void loadDxf().then(({ templateDxf }) =>
                      saveFile(`${piece.id}-${template.id}.dxf`, [templateDxf(template)], "application/dxf"),
                    )
                  }
                >
                  <FileDown size={13} aria-hidden="true" /> {templatesScreenText.dxf}
                </button>
              </div>
              <TrueSize template={template} pxPerMm={set ?? USUAL_PX_PER_MM} />
            </li>
          ))}
        </ul>
      </div>
    </main>
  );
}

const MARGIN = 2;
const UNDER = 4;
const DASHES = { cut: undefined, edge: "1.2 0.6", mark: "0.4 0.4" } as const;

function TrueSize({ template, pxPerMm }: { readonly template: Template; readonly pxPerMm: number }) {
  const { box, lines, labels, title } = template;
  const [left, top] = [box.left - MARGIN, box.high + MARGIN];
  const [width, height] = [box.right - box.left + 2 * MARGIN, box.high - box.low + MARGIN + UNDER];
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
      <svg
        width={width * pxPerMm}
        height={height * pxPerMm}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={title}
        className="block"
      >
        {lines.map(({ curve, isClosed, kind }, i) => (
          <path
            key={i}
            d={svgPath(curve, isClosed, left, top)}
            fill={kind === "edge" ? "var(--color-print-wash)" : "none"}
            fillOpacity={0.6}
            stroke={kind === "mark" ? "var(--color-metal-edge)" : "var(--color-ink)"}
            strokeWidth={kind === "cut" ? 0.2 : 0.12}
            strokeDasharray={DASHES[kind]}
          />
        ))}
        {labels.map(({ at: [x, y], text, size, isMiddle }, i) => (
          <text key={i} x={x - left} y={top - y} fontSize={size} textAnchor={isMiddle ? "middle" : "start"} fill="var(--color-metal-deep)">
            {text}
          </text>
        ))}
      </svg>
    </div>
  );
}
