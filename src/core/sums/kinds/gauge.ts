import { gaugeThickness, nearestGauge } from "../../measure/gauge";
import { single } from "../../measure/figure";
import { readLength } from "../../measure/reading";
import { NO_SIZES, type SumKind, lengthsOf, answerAlong } from "../sum";

/** Gauge and millimetres, either way: "18ga", "1.02 mm". */
export const gauge: SumKind = {
  read: (line) => {
    const isGauge = /^\d+\s*(?:ga|gauge)$/.test(line.text);
    if (!isGauge && !/^[\d.,/ ]+\s*(?:mm|inches|inch|in|")$/.test(line.text)) return null;
    if (!readLength(line.text, line.shown).ok) return "misread";
    const values = lengthsOf([line.text], line);
    if (!values) return "misread";
    const [thickness] = values as [number];
    const nearest = nearestGauge(thickness);
    return {
      code: "gauge",
      asked: isGauge ? { gauge: Number.parseInt(line.text, 10) } : { length: thickness },
      assumed: [],
      answers: isGauge
        ? [{ code: "thickness", figure: single("mm", thickness, "gauge") }]
        : [
            { code: "gauge", figure: single("count", nearest, "gauge.nearest") },
            { code: "thickness", figure: single("mm", gaugeThickness(nearest), "gauge") },
          ],
      sizes: NO_SIZES,
      begin: null,
    };
  },
  along: (sum) => answerAlong(sum, "thickness"),
  fields: [{ name: "gauge", as: "count", start: 18 }],
  line: ({ gauge: n = "" }) => `${n}ga`,
};
