import "@fontsource-variable/instrument-sans";
import "@fontsource-variable/newsreader";
import "@fontsource-variable/newsreader/wght-italic.css";
import "./globals.css";
import type { Metadata } from "next";
import { NuqsAdapter } from "nuqs/adapters/next/app";
import { Toaster } from "sonner";
import { Places } from "@/components/shell/places";
import { THEME_SCRIPT } from "@/components/shell/theme";

export const metadata: Metadata = {
  title: { default: "Velvet Thumb", template: "%s · Velvet Thumb" },
  description: "Fingerings for hard passages, fitted to your own hands.",
};

export default function Layout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <script dangerouslySetInnerHTML={{ __html: THEME_SCRIPT }} />
      </head>
      <body className="min-h-dvh">
        <NuqsAdapter>
          <Places />
          <main className="mx-auto max-w-[1400px] px-6 pb-8 print:px-0 print:pb-0">{children}</main>
        </NuqsAdapter>
        <Toaster
          position="bottom-center"
          toastOptions={{
            style: { background: "var(--paper-raised)", color: "var(--ink)", borderColor: "var(--hairline)" },
          }}
        />
      </body>
    </html>
  );
}
