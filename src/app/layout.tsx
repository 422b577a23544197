import "@fontsource-variable/instrument-sans";
import "@fontsource-variable/newsreader";
import "@fontsource-variable/newsreader/wght-italic.css";
import "./globals.css";
import type { Metadata } from "next";
import { headers } from "next/headers";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import { Toaster } from "sonner";
import type { Seated } from "@/components/players/player-menu";
import { Places } from "@/components/shell/places";
import { THEME_SCRIPT } from "@/components/shell/theme";
import { Watch } from "@/components/shell/watch";
import { playersZone } from "@/server/players/players-zone";
import { playersIfThere } from "@/server/players/player-in-hand";
import { NONCE_HEADER } from "@/server/doors/policy";

export const metadata: Metadata = {
  title: { default: "Velvet Thumb", template: "%s · Velvet Thumb" },
  description: "Fingerings for hard passages, fitted to your own hands.",
};

export default async function Layout({ children }: { children: React.ReactNode }) {
  const nonce = (await headers()).get(NONCE_HEADER) ?? undefined;
  const zone = await playersZone();
  const { all, now } = await playersIfThere();
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} />
      </head>
      <body className="min-h-dvh">
        <NuqsAdapter>
          <Places players={all.map(seated)} now={now && seated(now)} />
          <main className="mx-auto max-w-[1400px] px-6 pt-2 pb-8 print:p-0">{children}</main>
        </NuqsAdapter>
        <Watch zone={zone} />
        <Toaster
          position="bottom-center"
          style={{ fontFamily: "inherit" }}
          toastOptions={{
            style: {
              background: "var(--paper-raised)",
              color: "var(--ink)",
              borderColor: "var(--hairline)",
            },
            actionButtonStyle: { background: "var(--velvet)", color: "var(--velvet-ink)" },
          }}
        />
      </body>
    </html>
  );
}

function seated({ id, name }: Seated): Seated {
  return { id, name };
}
