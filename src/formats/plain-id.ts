/** The longest a file's schema takes. */
const LONGEST = 32;

/** The id that a name comes to: "Extra easy" is "extra-easy"; empty where it has no letter. */
export function plainId(name: string): string {
  return name
    .normalize("NFKD")
    .toLowerCase()
    .replace(/\p{M}/gu, "")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^[^a-z]+|-+$/g, "")
    .slice(0, LONGEST)
    .replace(/-+$/, "");
}
