import { SumsScreen } from "@/screens/sums/SumsScreen";

export default function Page() {
  return <SumsScreen />;
}
