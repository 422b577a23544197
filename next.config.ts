import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  // What has not changed is not drawn again: digits must follow a key press at once.
  reactCompiler: true,
  poweredByHeader: false,
  // `npm test` checks types by itself, once.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ["postgres", "piscina"],
  experimental: { serverActions: { bodySizeLimit: "2mb" } },
};

export default config;
