import { Suspense } from "react";
import { TrayScreen } from "@/screens/tray/TrayScreen";

export default function Page() {
  return (
    <Suspense>
      <TrayScreen />
    </Suspense>
  );
}
