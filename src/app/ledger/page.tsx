import { LedgerScreen } from "@/screens/ledger/LedgerScreen";

export default function Page() {
  return <LedgerScreen />;
}
