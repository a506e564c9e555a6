"use client";

import { useEffect, useRef, useState } from "react";
import { type Code, codeFrom, codesOf, fileOf } from "@/formats/codes";
import { codesClient } from "@/workers/codes/client";
import { type CodesAsk } from "@/workers/codes/protocol";
import { faultLine } from "@/words/faults";
import { codesText } from "@/words/ui";
import { Dialog, DialogActions } from "../Dialog";
import { drawn, readPicture } from "../read-picture";
import { standInsOn } from "../stand-ins";
import { type Camera, standInCamera } from "./camera";

/** Longest sides of a picture that a code is looked for in (px): of one that is too fine the squares are found once it is smaller. */
const LONGEST = [1600, 900] as const;

interface Props {
  /** Takes the file once all its codes have been read. */
  readonly onFile: (file: File) => void;
  readonly onClose: () => void;
  /** What the camera that stands in sees. */
  readonly loadMadeUp: () => Promise<string>;
}

/** Reads a piece off another device's screen: picture by picture, until every code of it has been seen. */
export function ReadCodes({ onFile, onClose, loadMadeUp }: Props) {
  const [read, setRead] = useState<readonly Code[]>([]);
  const [said, say] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const [client] = useState(codesClient);
  useEffect(() => () => client.end(), [client]);
  const [hasStandIn] = useState(standInsOn);
  const [camera] = useState<Camera>(() => standInCamera(async () => (await codesOf(await loadMadeUp())) ?? []));

  /** One more code, or what is to be said of what was seen. */
  const take = async (before: readonly Code[], bytes: Uint8Array | null): Promise<readonly Code[]> => {
    const code = bytes && codeFrom(bytes);
    if (!code) {
      say(bytes ? codesText.isOfSomethingElse : codesText.noCodeFound);
      return before;
    }
    const isOther = before.length > 0 && before[0]!.set !== code.set;
    const kept = isOther ? [] : before.filter(({ index }) => index !== code.index);
    const all = [...kept, code];
    say(isOther ? codesText.isOfAnother : null);
    setRead(all);
    if (all.length < code.count) return all;
    const file = await fileOf(all);
    if (file.ok) {
      onFile(new File([file.bytes.slice()], codesText.theCodes, { type: "application/json" }));
      onClose();
      return all;
    }
    say(`${faultLine(file.faults[0]!)}.`);
    setRead([]);
    return [];
  };
  const whileBusy = (work: () => Promise<unknown>) => {
    setBusy(true);
    void work().finally(() => setBusy(false));
  };
  const takePictures = (files: readonly File[]) =>
    whileBusy(async () => {
      let all = read;
      for (const file of files) {
        const seen = await seenIn(file, (picture) => client.ask(picture));
        if (typeof seen === "string") say(codesText.fileProblem(file.name, seen));
        else all = await take(all, seen);
      }
    });
  const pressStandIn = () =>
    whileBusy(async () => {
      const seen = await client.ask(await camera.takePicture());
      await take(read, seen?.bytes ?? null);
    });
  const count = read[0]?.count ?? 0;
  return (
    <Dialog title={codesText.readCodes} onClose={onClose} width={480}>
      <p className="text-soft">{codesText.howToRead}</p>
      <input
        ref={input}
        type="file"
        accept="image/*"
        capture="environment"
        multiple
        aria-label={codesText.aPictureOfTheCode}
        className="hidden"
        onChange={(event) => {
          takePictures([...(event.target.files ?? [])]);
          event.target.value = "";
        }}
      />
      <p role="status" className="mt-2 min-h-6">
        {isBusy ? codesText.looking : (said ?? (count > 1 ? codesText.readSoMany(read.length, count) : ""))}
      </p>
      {!isBusy && said && count > 1 && <p className="text-sm text-soft">{codesText.readSoMany(read.length, count)}</p>}
      <DialogActions>
        {camera.isStandIn && hasStandIn && (
          <button type="button" className="btn mr-auto" disabled={isBusy} onClick={pressStandIn}>
            {codesText.standIn}
          </button>
        )}
        <button type="button" className="btn" onClick={onClose}>
          {codesText.close}
        </button>
        <button type="button" className="btn btn-main" disabled={isBusy} onClick={() => input.current?.click()}>
          {codesText.takeAPicture}
        </button>
      </DialogActions>
    </Dialog>
  );
}

/** Bytes of the code in a picture, null where none is found; a text says why the picture could not be read. */
async function seenIn(
  file: File,
  ask: (picture: CodesAsk) => Promise<{ readonly bytes: Uint8Array | null } | null>,
): Promise<Uint8Array | null | string> {
  for (const longest of LONGEST) {
    const read = await readPicture(file, longest);
    if (!read.ok) return read.problem;
    const canvas = drawn(read.picture);
    const points = canvas.getContext("2d")!.getImageData(0, 0, canvas.width, canvas.height);
    const seen = await ask({ width: points.width, height: points.height, data: points.data });
    if (seen?.bytes) return seen.bytes;
  }
  return null;
}
