import { attackRecords, attackWindows } from "./browser";
import { attackCaching } from "./caching";
import { attackCore } from "./core";
import { attackByKilling, attackFirstDemo, attackRestore } from "./kills";
import { randomFrom } from "./random";
import { conclude } from "./report";
import { attackServer } from "./server";

/** All attacks, seeded and bounded in time; resolves with whether any of them did harm. */
export async function attack(address: string, seed: number, kills: number): Promise<boolean> {
  const random = randomFrom(seed);
  attackCore(random, 45);
  await attackServer(address, random);
  await attackRecords(address, random, 40);
  await attackWindows(address, random);
  await attackFirstDemo(address, random, Math.ceil(kills / 5));
  await attackRestore(address, random, Math.ceil(kills / 5));
  await attackByKilling(address, random, kills);
  await attackCaching(address, random, kills);
  return conclude(seed);
}

/** On a machine that works on other things beside it so much may be lost (ms): it is the other attack that holds the bound. */
const BUSY = 1500;

/** A little of each in some twenty seconds, so that none of them is broken unnoticed. */
export async function attackShortly(address: string, seed: number): Promise<boolean> {
  const random = randomFrom(seed);
  attackCore(random, 2);
  await attackRecords(address, random, 3);
  await attackFirstDemo(address, random, 1);
  await attackRestore(address, random, 1);
  await attackByKilling(address, random, 4, BUSY);
  return conclude(seed);
}
