import { bestHeats } from "@/core/heats/best";
import { planPiece } from "@/core/piece/plan-piece";
import { SHIPPED_BENCH } from "@/core/piece/bench";
import { decodePlanRequest } from "@/formats/plan-request";
import { planFile } from "@/formats/plan-file";
import { MOST_BYTES } from "@/formats/read-json";
import { faultMessage } from "@/words/faults";

const TIME_MS = 2000;

/** Plans `{ piece, bench? }`: the plan, or 422 with all that is wrong; 413 past 2 MB, 415 for what is not JSON. */
export async function POST(request: Request): Promise<Response> {
  if (!/^application\/json\b/i.test(request.headers.get("content-type") ?? "")) return refused(415, "send application/json");
  const text = await readLimited(request);
  if (text === null) return refused(413, `send at most ${MOST_BYTES} bytes`);
  const decoded = decodePlanRequest(text);
  if (!decoded.ok) {
    const faults = decoded.faults.map((fault) => ({ path: fault.path, code: fault.code, expected: faultMessage(fault) }));
    return Response.json({ faults }, { status: 422 });
  }
  const { piece, bench } = decoded.value;
  const end = performance.now() + TIME_MS;
  const plan = planPiece(piece, bench ?? piece.benchUsed ?? SHIPPED_BENCH, (assembly, wishes) =>
    bestHeats(assembly, wishes, () => performance.now() > end),
  );
  return Response.json(planFile(plan));
}

function refused(status: number, expected: string): Response {
  return Response.json({ faults: [{ path: "", code: "refused", expected }] }, { status });
}

/** The body's text, or null as soon as it passes the limit. */
async function readLimited(request: Request): Promise<string | null> {
  if (!request.body) return "";
  const decoder = new TextDecoder();
  const reader = request.body.getReader();
  let [text, size] = ["", 0];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    size += value.byteLength;
    if (size > MOST_BYTES) {
      await reader.cancel();
      return null;
    }
    text += decoder.decode(value, { stream: true });
  }
}
