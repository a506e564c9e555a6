import { type News, readNews } from "./read-kept";

/** Tells the other windows of this browser what was written. */
const CHANNEL = "hoop-ledger";

let channel: BroadcastChannel | null = null;

function open(): BroadcastChannel {
  channel ??= new BroadcastChannel(CHANNEL);
  return channel;
}

export function tell(news: News): void {
  open().postMessage(news);
}

/** Calls `heard` for what other windows tell; what cannot be read is not for this program. Returns how to stop. */
export function listen(heard: (news: News) => void): () => void {
  const on = (event: MessageEvent<unknown>) => {
    const news = readNews(event.data);
    if (news.ok) heard(news.value);
    else console.warn("unreadable news of another window", news.faults);
  };
  open().addEventListener("message", on);
  return () => open().removeEventListener("message", on);
}
