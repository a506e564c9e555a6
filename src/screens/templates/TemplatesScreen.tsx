"use client";

import { ArrowLeft, FileDown, Printer } from "lucide-react";
import { useEffect, useState } from "react";
import { type Template, templatesOf } from "@/formats/templates/sheet";
import { templateSvg } from "@/formats/templates/svg";
import { type Paper, Papers } from "@/ui/Papers";
import { Segments } from "@/ui/Segments";
import { useDoubt } from "@/ui/doubt";
import { usePlan } from "@/ui/plan";
import { saveFile } from "@/ui/save-file";
import { useSessionState } from "@/ui/session";
import { useTray, useTrayState, useUnits } from "@/ui/tray";
import { printClient } from "@/workers/templates/client";
import { Lines } from "./Lines";
import { ScreenScale } from "./ScreenScale";
import { Sheets } from "./Sheets";
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
  const [isLarge, enlarge] = useState(true);
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
      <div className="px-6 py-5 max-lg:px-3.5">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
          <h1 className="text-2xl font-bold font-condensed">
            {isLarge
              ? templatesScreenText.templatesEnlarged
              : templatesScreenText.templates(set === null ? templatesScreenText.aboutLifeSize : templatesScreenText.lifeSize)}
          </h1>
          <Segments
            label={templatesScreenText.shown}
            options={SIZES}
            value={isLarge ? "large" : "life"}
            onChoose={(value) => enlarge(value === "large")}
          />
        </div>
        <p className="mb-3 max-w-183 text-sm text-soft">{templatesScreenText.printThemAt100And}</p>
        {!isLarge && (
          <ScreenScale
            pxPerMm={set ?? USUAL_PX_PER_MM}
            isSet={set !== null}
            onSet={(pxPerMm) => void tray.changeBench((bench) => void (bench.screen = { pxPerMm }))}
          />
        )}
        <div className="mt-3 grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_auto]">
          <ul className={`grid gap-5 ${isLarge ? "xl:grid-cols-2" : ""}`}>
            {templates.map((template) => (
              <li key={template.id} className="min-w-0 border-t border-hair pt-2">
                <TemplateHead template={template} piece={piece.id} />
                <TemplatePicture template={template} pxPerMm={isLarge ? null : (set ?? USUAL_PX_PER_MM)} />
              </li>
            ))}
          </ul>
          <Sheets templates={templates} paper={paper} />
        </div>
      </div>
    </main>
  );
}

const SIZES = [
  { value: "large", text: templatesScreenText.enlarged },
  { value: "life", text: templatesScreenText.atLifeSize },
] as const;

/** What a template is called, and the files it is saved as. */
function TemplateHead({ template, piece }: { readonly template: Template; readonly piece: string }) {
  const { id, title } = template;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <h2 className="min-w-0 flex-1 text-base font-strong">{title}</h2>
      <button
        type="button"
        className="btn btn-small"
        aria-label={templatesScreenText.saveAsSvg(id)}
        onClick={() => saveFile(`${piece}-${id}.svg`, [templateSvg(template)], "image/svg+xml")}
      >
        <FileDown size={13} aria-hidden="true" /> {templatesScreenText.svg}
      </button>
      <button
        type="button"
        className="btn btn-small"
        aria-label={templatesScreenText.saveAsDxf(id)}
        onClick={() => void loadDxf().then(({ templateDxf }) => saveFile(`${piece}-${id}.dxf`, [templateDxf(template)], "application/dxf"))}
      >
        <FileDown size={13} aria-hidden="true" /> {templatesScreenText.dxf}
      </button>
    </div>
  );
}

/** Round a picture, and under it for the words at its marks (mm). */
const MARGIN = 2;
const UNDER = 4;

interface PictureProps {
  readonly template: Template;
  /** At life size so many pixels to a mm; null as large as there is room. */
  readonly pxPerMm: number | null;
}

/** How much larger than at life size words stand in an enlarged picture, so that they can be read (of their size). */
const LEGIBLE = 0.25;
/** About what an enlarged picture has for room (px): its words are not enlarged with it. */
const ENLARGED = { width: 500, height: 245 } as const;

function TemplatePicture({ template, pxPerMm }: PictureProps) {
  const { box, title } = template;
  const [width, height] = [box.right - box.left + 2 * MARGIN, box.high - box.low + MARGIN + UNDER];
  const perMm = pxPerMm ?? Math.min(ENLARGED.width / width, ENLARGED.height / height);
  const size = pxPerMm === null ? {} : { width: width * pxPerMm, height: height * pxPerMm };
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label={title}>
      <svg
        {...size}
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={title}
        preserveAspectRatio="xMinYMin"
        className={`block ${pxPerMm === null ? "max-h-70 w-full" : ""}`}
      >
        <Lines
          template={template}
          left={box.left - MARGIN}
          top={box.high + MARGIN}
          ofSize={Math.min(1, USUAL_PX_PER_MM / perMm + LEGIBLE)}
        />
      </svg>
    </div>
  );
}
