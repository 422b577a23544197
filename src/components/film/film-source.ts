import type { KeysMarked } from "@/core/film/ruler";

/** Something with pictures: a clip, a photograph, or the clip that the program draws itself. */
export interface FilmSource {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** How many pictures it has, and how many a second. */
  readonly pictures: number;
  readonly picturesASecond: number;
  /** The corners of its keys, where they are known. */
  readonly keys: KeysMarked | null;
  /** Draws a picture, its own size. */
  show(context: CanvasRenderingContext2D, picture: number): Promise<void>;
  close(): void;
}

/** Pictures a second that a clip is looked at by: what most cameras take. */
const A_SECOND = 25;

/**
 * Opens a clip or a photograph in the browser; it goes nowhere else.
 * @throws Error with a sentence where the browser cannot show it
 */
export async function openFilm(file: Blob, name: string): Promise<FilmSource> {
  const address = URL.createObjectURL(file);
  const close = (): void => URL.revokeObjectURL(address);
  try {
    return file.type.startsWith("image/") ? await photograph(address, name, close) : await clip(address, name, close);
  } catch {
    close();
    throw new Error(`${name} cannot be shown by this browser. A clip as MP4 or WebM, or a photograph, can.`);
  }
}

async function photograph(address: string, name: string, close: () => void): Promise<FilmSource> {
  const image = new Image();
  image.src = address;
  await image.decode();
  return {
    name,
    ...{
      width: image.naturalWidth,
      height: image.naturalHeight,
      pictures: 1,
      picturesASecond: A_SECOND,
      keys: null,
      close,
    },
    show(context) {
      context.drawImage(image, 0, 0);
      return Promise.resolve();
    },
  };
}

async function clip(address: string, name: string, close: () => void): Promise<FilmSource> {
  const video = document.createElement("video");
  video.muted = true;
  video.preload = "auto";
  video.src = address;
  await heardOf(video, "loadeddata");
  const pictures = Math.max(1, Math.floor((Number.isFinite(video.duration) ? video.duration : 0) * A_SECOND));
  return {
    name,
    ...{ width: video.videoWidth, height: video.videoHeight, pictures, picturesASecond: A_SECOND, keys: null, close },
    async show(context, picture) {
      const at = Math.min(video.duration || 0, (picture + 0.5) / A_SECOND);
      if (Math.abs(video.currentTime - at) > 1e-3) {
        video.currentTime = at;
        await heardOf(video, "seeked");
      }
      context.drawImage(video, 0, 0);
    },
  };
}

function heardOf(video: HTMLVideoElement, event: "loadeddata" | "seeked"): Promise<void> {
  return new Promise((resolve, reject) => {
    video.addEventListener(event, () => resolve(), { once: true });
    video.addEventListener("error", () => reject(new Error("not shown")), { once: true });
  });
}
