import { planPost } from "../../earring/post";
import { type PostsEntry } from "../piece";
import { type CarrierKind, oneSetting } from "./carrier";

/** A post on the back of a stud. */
export const posts: CarrierKind<PostsEntry> = {
  places: () => [],
  band: () => null,
  parts: () => [],
  jointCount: () => 1,
  faults: (_entry, mounts) => oneSetting(mounts),
  plan: (entry, carried) => {
    const [{ mount, setting, hung }] = carried as [(typeof carried)[number]];
    const post = { metal: entry.metal ?? "sterling", wire: entry.wire, length: entry.length, at: entry.at } as const;
    const planned = planPost(post, mount.id, setting, hung());
    return { contribution: planned, drawing: { type: "posts", ...planned.drawn }, settled: { type: "posts", ...post } };
  },
};
