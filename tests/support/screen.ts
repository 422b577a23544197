import "@testing-library/jest-dom";

/** What a browser has and the test page lacks. */
globalThis.ResizeObserver ??= class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
