/** The few calls of the engraver that are used; no types ship with it. */
declare module "verovio/wasm" {
  export default function createModule(): Promise<object>;
}

declare module "verovio/esm" {
  export const LOG_OFF: number;
  export function enableLog(level: number, module: object): void;
  export class VerovioToolkit {
    constructor(module: object);
    setOptions(options: Readonly<Record<string, unknown>>): void;
    resetXmlIdSeed(seed: number): void;
    loadData(data: string): boolean;
    getPageCount(): number;
    renderToSVG(page: number): string;
  }
}
