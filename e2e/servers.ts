import { startServer } from "../scripts/server.mjs";

/** Starts both servers on ports that are free: one with the demo, one with nothing. Returns how to stop them. */
export default async function startServers(): Promise<() => Promise<void>> {
  const [demo, empty] = await Promise.all([startServer({ from: 0, demo: true }), startServer({ from: 0 })]);
  process.env.DEMO_ADDRESS = demo.address;
  process.env.EMPTY_ADDRESS = empty.address;
  return async () => {
    await Promise.all([demo.stop(), empty.stop()]);
  };
}
