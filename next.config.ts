import type { NextConfig } from "next";

const config: NextConfig = {
  reactStrictMode: true,
  // What has not changed is not drawn again: digits must follow a key press at once.
  reactCompiler: true,
  poweredByHeader: false,
  // It is served to the same machine or across a room: packing what each new window loads takes longer than sending it.
  compress: false,
  // `npm test` checks types by itself, once.
  typescript: { ignoreBuildErrors: true },
  serverExternalPackages: ["postgres", "piscina", "playwright-core"],
  experimental: {
    serverActions: { bodySizeLimit: "2mb" },
    // Its port to Rust: half of a build's time otherwise goes into the compiler.
    turbopackRustReactCompiler: true,
    // A build from a bare clone is made once: nothing is kept for the next.
    turbopackFileSystemCacheForBuild: false,
  },
};

export default config;
