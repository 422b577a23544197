import type { Leaning } from "./leaning";

/** What is found when the balanced best is asked for otherwise (../otherwise): by itself no other than the balanced one. */
export const otherwise: Leaning = {
  id: "otherwise",
  label: "another way",
  what: "Asked for another way: the hand is set elsewhere, or the thumb kept off black.",
  weigh: (plain) => plain,
  keepsDigits: true,
};
