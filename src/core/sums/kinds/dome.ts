import { single } from "../../measure/figure";
import { discFor, sphereOf } from "../../mount/backs/domed";
import { UNMEASURED, UNMEASURED_FIELDS, newPiece } from "../../piece/new-piece";
import { type Piece } from "../../piece/piece";
import { LENGTH, NO_SIZES, type SumKind, lengthsOf, answerAlong } from "../sum";

const DOME = new RegExp(`^dome\\s+${LENGTH}\\s+(?:rise|high|by)\\s+${LENGTH}$`);

/** The flat disc for a dome: "dome 20 rise 3", across its rim and how far it rises. */
export const dome: SumKind = {
  read: (line) => {
    if (!line.text.startsWith("dome")) return null;
    const found = DOME.exec(line.text);
    const lengths = found && lengthsOf([found[1], found[2]], line);
    if (!lengths) return "misread";
    const [across, rise] = lengths as [number, number];
    if (rise > across / 2) return "misread";
    return {
      code: "dome",
      asked: { across, rise },
      assumed: [],
      answers: [
        { code: "disc", figure: single("mm", discFor(across / 2, rise), "dome.disc") },
        { code: "sphere", figure: single("mm", sphereOf(across / 2, rise), "dome.sphere") },
      ],
      sizes: NO_SIZES,
      begin: (id, name) => {
        const piece = newPiece(id, name, line.bench, UNMEASURED, "pendant");
        const [mount] = piece.mounts as [Piece["mounts"][number]];
        const plate = {
          ...mount.plate!,
          style: "own",
          outline: { shape: "round", diameter: across },
          at: [0, 0],
          domed: { rise },
        } as const;
        return { piece: { ...piece, mounts: [{ ...mount, plate }] }, unmeasured: UNMEASURED_FIELDS.pendant };
      },
    };
  },
  along: (sum) => answerAlong(sum),
  fields: [
    { name: "across", as: "length", start: 20 },
    { name: "rise", as: "length", start: 3 },
  ],
  line: ({ across = "", rise = "" }) => `dome ${across} rise ${rise}`,
};
