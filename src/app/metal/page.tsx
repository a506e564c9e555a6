import { MetalScreen } from "@/screens/metal/MetalScreen";

export default function Page() {
  return <MetalScreen />;
}
