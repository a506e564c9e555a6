import { TrayScreen } from "@/screens/tray/TrayScreen";

export default function Page() {
  return <TrayScreen />;
}
