"use client";

import { toHundredth } from "@/core/measure/micron";
import { type Draft as Editable } from "immer";
import { boxOf } from "@/core/geometry/curve";
import { type HoopForm, type LengthRule } from "@/core/hoop/hoop";
import { type WorkName } from "@/core/hoop/works/work";
import { WORK_NAMES, clashesOf } from "@/core/hoop/works/works";
import { type SizeSystem, sizeText } from "@/core/hoop/sizes";
import { METALS, metalsFor } from "@/core/metal/metals";
import { type SectionShape } from "@/core/metal/section";
import { mandrelOf } from "@/core/piece/bench";
import { type HoopEntry } from "@/core/piece/piece";
import { AppliedList } from "../applied/AppliedList";
import { ChoiceField } from "@/ui/ChoiceField";
import { MeasureField } from "@/ui/MeasureField";
import { Rule } from "@/ui/Rule";
import { Answer, Answers, Stage } from "@/ui/Stage";
import { Sum } from "@/ui/Sum";
import { FigureButton } from "@/ui/Terms";
import { TextField } from "@/ui/TextField";
import { useDoubt } from "@/ui/doubt";
import { hoopIn } from "@/core/piece/plan";
import { OwnMethod } from "@/ui/OwnMethod";
import { usePlan } from "@/ui/plan";
import { useSession, useSessionState } from "@/ui/session";
import { useTrayState, useUnits } from "@/ui/tray";
import { ifSure } from "@/words/doubt";
import { insteadText } from "@/words/hoop-size";
import { FORM_NAMES, SECTION_NAMES, SYSTEM_NAMES, capital, lengthRuleName } from "@/words/names";
import { degrees, lengthUnit, showTemperature } from "@/words/show";
import { SOURCE_NAMES } from "@/words/terms";
import { SettingsList } from "../settings/SettingsList";
import { HoopDrawing } from "./HoopDrawing";
import {
  hoopLossField,
  hoopOf,
  isEven,
  optionalField,
  placeField,
  roundField,
  sawPassesField,
  sizeField,
  textureField,
  stockField,
} from "./fields";
import { FORM_SCREENS } from "./forms";
import { WORK_SCREENS, clearWorks } from "./works";
import { hoopView } from "./view";
import { OnRule } from "./OnRule";
import { commonText } from "@/words/common";
import { hoopStageText } from "@/words/screens/hoop";

/** The blank to cut for the hoop, and how it is seated under the setting. */
export function HoopStage({ mount }: { readonly mount: string }) {
  const plan = usePlan();
  const { host: id } = plan.drawing.settings[mount]!;
  const units = useUnits();
  const piece = useSessionState((state) => state.piece);
  const doubtOf = useDoubt();
  const planned = hoopIn(plan);
  if (piece.carrier.type !== "hoop" || !planned) return null;
  const hoop = piece.carrier;
  const view = hoopView(plan, id, hoop.size.system, units);
  const unit = lengthUnit(units);
  return (
    <Stage
      stage="hoop"
      mount={id}
      drawing={(size) => <HoopDrawing size={size} piece={piece} mount={id} view={view} />}
      measures={<HoopMeasures hoop={hoop} view={view} mount={id} />}
      foot={
        <>
          <Answers figures={["hoop.cutLength", view.seatFigure]} sum={<Sum parts={view.sum} total={view.total} why={view.why} />}>
            <FigureButton figure="hoop.cutLength" name="Cut blank">
              <Answer lead={hoopStageText.cutBlank} unit={unit}>
                {view.cut}
              </Answer>
            </FigureButton>
            <FigureButton figure={view.seatFigure} name={view.seat.name}>
              <Answer lead={view.seat.lead} unit={view.seat.unit}>
                {view.seat.text}
              </Answer>
            </FigureButton>
            {view.also.map(({ figure, name, lead, text }) => (
              <FigureButton key={figure} figure={figure} name={name}>
                <Answer lead={lead} unit={unit}>
                  {text}
                </Answer>
              </FigureButton>
            ))}
            <FigureButton figure="hoop.lostPerMillimetre" name="Lost for each millimetre" className="text-sm text-soft">
              {view.lost}
            </FigureButton>
          </Answers>
          <Rule
            blank={plan.drawing.laid.hoop!}
            height={Math.max(hoop.stock.width, hoop.stock.backWidth ?? 0)}
            cut={ifSure(doubtOf("hoop.cutLength"), hoopStageText.cut(view.cut))}
            beyond={commonText.restOfTheWire}
            names={view.marks}
            units={units}
            pattern={planned.drawn.pattern}
            over={<OnRule hoop={planned.settled} blank={plan.drawing.laid.hoop!} height={hoop.stock.width} />}
          />
          <p className="narrow flex flex-wrap gap-x-4 text-xs text-soft" aria-label={hoopStageText.whatIf}>
            {[...(doubtOf("hoop.cutLength") ? [] : [...view.whatIfs, ...view.notes])].map((text) => (
              <span key={text}>{text}</span>
            ))}
          </p>
        </>
      }
    />
  );
}

const SYSTEMS: readonly SizeSystem[] = ["us", "uk", "eu", "continental", "jp", "diameter", "mandrel"];
const SECTIONS: readonly SectionShape[] = ["half-round", "d", "round", "oval", "square", "rectangle"];
const RULES: readonly LengthRule[] = ["fibre", "thickness", { multiplier: 3.145 }, { multiplier: 3.15 }, { multiplier: 3.5 }];
const LOSSES = [
  { name: "squaring", label: hoopStageText.squaring, explains: "squaring" },
  { name: "kerf", label: hoopStageText.kerf, explains: "kerf" },
  { name: "mark", label: hoopStageText.mark },
  { name: "hammer", label: hoopStageText.hammered },
] as const;

interface MeasuresProps {
  readonly hoop: HoopEntry;
  readonly view: ReturnType<typeof hoopView>;
  readonly mount: string;
}

function HoopMeasures({ hoop, view, mount }: MeasuresProps) {
  const session = useSession();
  const units = useUnits();
  const plan = usePlan();
  const mandrel = useTrayState(({ bench }) => mandrelOf(bench));
  const { settled, drawn } = hoopIn(plan)!;
  const { low, high } = boxOf(plan.drawing.settings[mount]!.plan.plateEdge);
  const across = high - low;
  const doubtOf = useDoubt();
  const { width } = view.seat;
  const place = useSessionState(({ piece }) => piece.mounts.find(({ id }) => id === mount)?.place);
  const works = WORK_NAMES.filter((name) => settled.works[name] !== undefined);
  const { Fields } = FORM_SCREENS[settled.form];
  const work: WorkName | undefined = works[0];
  const rule = hoop.lengthRule ?? "fibre";
  const change = (recipe: (hoop: Editable<HoopEntry>) => void) => session.change((piece) => recipe(hoopOf(piece)));
  const sizeIn = (system: SizeSystem) =>
    (system === "mandrel" ? mandrel[0]?.label : sizeText(system, settled.size.value)) ?? hoop.size.value;
  const rules = RULES.some((each) => lengthRuleName(each) === lengthRuleName(rule)) ? RULES : [...RULES, rule];
  return (
    <>
      <h2 className="section-head">{hoopStageText.finger}</h2>
      <ChoiceField
        label={hoopStageText.sizeSystem}
        value={hoop.size.system}
        options={SYSTEMS.filter((system) => system !== "mandrel" || mandrel.length > 0 || hoop.size.system === "mandrel").map((value) => ({
          value,
          text: capital(SYSTEM_NAMES[value]),
        }))}
        onChoose={(system) => change((each) => void (each.size = { system, value: sizeIn(system) }))}
      />
      <TextField field={sizeField} label={hoopStageText.size} hint={view.inside} value={hoop.size.value} />
      <MeasureField
        field={roundField(units, (mm) => {
          const system = hoop.size.system === "mandrel" ? "diameter" : hoop.size.system;
          return { system, value: sizeText(system, mm / Math.PI) ?? hoop.size.value };
        })}
        label={hoopStageText.roundTheFinger}
        hint={hoopStageText.paperStrip}
        value={doubtOf(sizeField.key) ? null : toHundredth(Math.PI * settled.size.value)}
        lights="size"
      />
      <dl className="grid grid-cols-2 gap-x-3 text-sm">
        {view.conversions
          .filter(({ system }) => system !== hoop.size.system)
          .slice(0, 4)
          .map(({ system, name, text }) => (
            <div key={system} className="flex justify-between border-t border-hair py-1 text-soft">
              <dt>{name}</dt>
              <dd className="font-semibold text-ink">{text}</dd>
            </div>
          ))}
      </dl>
      <h2 className="section-head">{commonText.metal}</h2>
      <ChoiceField
        label={hoopStageText.section}
        width="wide"
        hint={hoop.stock.section === "half-round" || hoop.stock.section === "d" ? hoopStageText.flatSideToTheFinger : undefined}
        value={hoop.stock.section}
        options={SECTIONS.map((value) => ({ value, text: capital(SECTION_NAMES[value]) }))}
        lights="stock"
        onChoose={(section) =>
          change(({ stock }) => {
            stock.section = section;
            if (isEven(section)) stock.width = stock.thickness;
          })
        }
      />
      <div className="grid gap-x-3 wide:grid-cols-2">
        <MeasureField field={stockField("width", units)} label={commonText.width} value={hoop.stock.width} lights="stock" shape="compact" />
        <MeasureField
          field={stockField("thickness", units)}
          label={hoopStageText.thick}
          value={hoop.stock.thickness}
          lights="stock"
          shape="compact"
        />
      </div>
      <TextField
        field={textureField}
        label={commonText.texture}
        hint={hoopStageText.beforeItIsBent}
        value={hoop.stock.texture?.name ?? ""}
      />
      <ChoiceField
        label={commonText.metal}
        hint={hoopStageText.startsToMeltAt(showTemperature(METALS[hoop.stock.metal].solidus, units), degrees(units))}
        value={hoop.stock.metal}
        options={metalsFor("hoop").map((value) => ({ value, text: capital(METALS[value].name) }))}
        onChoose={(metal) => change(({ stock }) => void (stock.metal = metal))}
      />
      <h2 className="section-head">{hoopStageText.form}</h2>
      <ChoiceField
        label={hoopStageText.ends}
        hint={FORM_SCREENS[settled.form].hint}
        value={settled.form}
        options={(Object.keys(FORM_SCREENS) as HoopForm[]).map((value) => ({ value, text: FORM_SCREENS[value].text }))}
        lights="seat"
        onChoose={(form) =>
          change((each) => {
            each.form = form;
            FORM_SCREENS[form].start?.(each, drawn.outside, across);
            if (clashesOf(settled.works, form).length > 0) clearWorks(each);
          })
        }
      />
      {width && (
        <MeasureField
          field={optionalField(width.field, units)}
          label={width.label}
          hint={hoopStageText.empty(width.usual)}
          value={hoop[width.field] ?? null}
          lights="seat"
        />
      )}
      {Fields && <Fields hoop={hoop} settled={settled} />}
      <ChoiceField
        label={hoopStageText.shank}
        hint={work ? WORK_SCREENS[work].advice : hoopStageText.wireAsItIs}
        value={work ?? "plain"}
        options={[
          { value: "plain", text: hoopStageText.plain },
          ...WORK_NAMES.filter((name) => name === work || clashesOf({ [name]: {} }, settled.form).length === 0).map((name) => ({
            value: name,
            text: WORK_SCREENS[name].name,
          })),
        ]}
        lights="stock"
        onChoose={(name) =>
          change((each) => {
            clearWorks(each);
            if (name !== "plain") WORK_SCREENS[name].start(each);
          })
        }
      />
      {works.map((name) => {
        const shown = WORK_SCREENS[name];
        return <shown.Fields key={name} hoop={hoop} />;
      })}
      <h2 className="section-head">{hoopStageText.whereItSits}</h2>
      <div className="grid gap-x-3 wide:grid-cols-2">
        <MeasureField
          field={placeField(mount, "along", units)}
          label={hoopStageText.along}
          value={place?.along ?? 0}
          lights="seat"
          shape="compact"
        />
        <MeasureField
          field={placeField(mount, "turn", units)}
          label={hoopStageText.turned}
          value={place?.turn ?? 0}
          lights="turn"
          shape="compact"
        />
      </div>
      <h2 className="section-head">{commonText.length}</h2>
      <ChoiceField
        label={hoopStageText.lengthBy}
        explains="fibre"
        hint={
          rule === "fibre"
            ? hoopStageText.neitherStretchedNorSqueezed
            : rule === "thickness"
              ? hoopStageText.asMostAreTaught
              : hoopStageText.padsALargerRingMore
        }
        value={lengthRuleName(rule)}
        options={rules.map((each) => ({ value: lengthRuleName(each), text: capital(lengthRuleName(each)) }))}
        lights="fibre"
        onChoose={(name) => change((each) => void (each.lengthRule = rules.find((other) => lengthRuleName(other) === name)!))}
      />
      <div className="grid gap-x-3 wide:grid-cols-2">
        {LOSSES.map(({ name, label, ...more }) => (
          <MeasureField
            key={name}
            {...more}
            field={hoopLossField(name, units)}
            label={label}
            value={settled.losses[name].value}
            lights="losses"
            shape="compact"
          />
        ))}
        <MeasureField
          field={sawPassesField}
          label={hoopStageText.sawCuts}
          value={settled.losses.sawPasses.value}
          lights="losses"
          shape="compact"
        />
      </div>
      <OwnMethod kind="hoop.length" />
      <p className="narrow pt-1 text-xs text-soft">
        {settled.learned
          ? insteadText(settled.learned, hoopStageText.squaringSawCutsAndMark, units)
          : `${capital(SOURCE_NAMES[settled.losses.squaring.from])}.`}{" "}
        {capital(FORM_NAMES[hoop.form])}, {view.mass}.
      </p>
      <SettingsList mount={mount} />
      <AppliedList mount={null} />
    </>
  );
}
