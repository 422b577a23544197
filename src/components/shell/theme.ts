/** Where it is kept which theme the room has: paper for daylight, stage for dim rooms. */
export const THEME_KEY = "velvet-theme";

/** Runs before the first paint, so that a dim room is not lit up. */
export const THEME_SCRIPT = `try{document.documentElement.dataset.theme=localStorage.getItem("${THEME_KEY}")==="stage"?"stage":"paper"}catch{}`;
