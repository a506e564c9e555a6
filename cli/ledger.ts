import { learnedFrom } from "@/core/piece/ledger";
import { ledgerCsv, ledgerFile } from "@/formats/ledger-file";
import { decodeBackup } from "@/formats/backup-codec";
import { MOST_BACKUP_BYTES } from "@/formats/read-json";
import { ledgerLines } from "@/words/ledger";
import { Misused, Refused, argsOf, command, decoded, fileText } from "./files";

const USAGE = "usage: npm run --silent ledger -- BACKUP [--json | --csv]   (BACKUP may be -, standard input)";

await command("ledger", (args) => {
  const { file, given } = argsOf(args, USAGE, [], ["--json", "--csv"]);
  if (given.has("--json") && given.has("--csv")) throw new Misused(USAGE);
  const backup = decoded(decodeBackup(fileText(file, MOST_BACKUP_BYTES)), file);
  if (backup.unread.length > 0)
    throw new Refused(
      backup.unread.flatMap(({ path, faults }) => faults.map((each) => ({ ...each, path: `${path}${each.path}` }))),
      file,
    );
  const learned = learnedFrom(backup.makes);
  if (given.has("--json")) return `${JSON.stringify(ledgerFile(learned), null, 2)}\n`;
  return given.has("--csv") ? ledgerCsv(learned) : `${ledgerLines(learned).join("\n")}\n`;
});
