/** Tells the other windows of this browser what was written. */
const CHANNEL = "hoop-ledger";

export type News =
  | { readonly kind: "piece"; readonly id: string; readonly revision: number }
  | { readonly kind: "tray"; readonly ids: readonly string[] }
  | { readonly kind: "bench" };

let channel: BroadcastChannel | null = null;

function open(): BroadcastChannel {
  channel ??= new BroadcastChannel(CHANNEL);
  return channel;
}

export function tell(news: News): void {
  open().postMessage(news);
}

/** Calls `heard` for what other windows tell. Returns how to stop. */
export function listen(heard: (news: News) => void): () => void {
  const on = (event: MessageEvent<News>) => heard(event.data);
  open().addEventListener("message", on);
  return () => open().removeEventListener("message", on);
}
