import type { Metadata } from "next";
import { headers } from "next/headers";
import { connection } from "next/server";
import { type ReactNode } from "react";
import { Prefetch } from "@/screens/prefetch";
import { CodesProvider } from "@/ui/codes/codes";
import { FindProvider } from "@/ui/Find";
import { Nonce } from "@/ui/Nonce";
import { Offline } from "@/ui/Offline";
import { NoticesProvider } from "@/ui/notices";
import { OpeningProvider } from "@/ui/opening";
import { TrayProvider } from "@/ui/tray";
import "./globals.css";
import { layoutText } from "@/words/app";

export const metadata: Metadata = { title: layoutText.hoopLedger, description: layoutText.sizesBezelStripsPlatesAnd };

export default async function RootLayout({ children }: { readonly children: ReactNode }) {
  await connection();
  const nonce = (await headers()).get("x-nonce") ?? "";
  return (
    <html lang="en">
      <body>
        <Nonce value={nonce}>
          <Prefetch />
          <NoticesProvider>
            <Offline />
            <TrayProvider withDemo={process.env.HOOP_LEDGER_DEMO === "1"}>
              <OpeningProvider>
                <CodesProvider>
                  <FindProvider>{children}</FindProvider>
                </CodesProvider>
              </OpeningProvider>
            </TrayProvider>
          </NoticesProvider>
        </Nonce>
      </body>
    </html>
  );
}
