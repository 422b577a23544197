import { contactOn } from "./contact";
import { allKeys, distance, gapBetween, keyMiddle, keyShape, whiteWidth } from "./geometry";
import { FULL_SIZE, instrument } from "./instrument";
import { isBlack, pitch, pitchName, reflect } from "./pitch";

describe("the keyboard", () => {
  it("has seven white keys of 23.5 mm to an octave of 164.5 mm", () => {
    expect(whiteWidth(FULL_SIZE)).toBe(23.5);
    expect(distance(pitch(60), pitch(72), FULL_SIZE)).toBeCloseTo(164.5, 9);
    expect(distance(pitch(60), pitch(62), FULL_SIZE)).toBeCloseTo(23.5, 9);
  });

  it("has black keys at the published centres, in white-key widths from the left edge of C", () => {
    const edge = keyShape(pitch(60), FULL_SIZE).left;
    const centres = [61, 63, 66, 68, 70].map((key) => (keyMiddle(pitch(key), FULL_SIZE) - edge) / 23.5);
    [0.9, 2.1, 3.857, 5.0, 6.143].forEach((expected, i) => expect(centres[i]).toBeCloseTo(expected, 3));
  });

  it("leaves 17.4 mm between F sharp and G sharp", () => {
    expect(gapBetween(pitch(66), pitch(68), FULL_SIZE)).toBeCloseTo(17.36, 2);
    expect(gapBetween(pitch(66), pitch(68), instrument(140))).toBeLessThan(14);
  });

  it("scales along the keys, with black tops of one width", () => {
    const narrow = instrument(140);
    expect(distance(pitch(60), pitch(76), narrow) / distance(pitch(60), pitch(76), FULL_SIZE)).toBeCloseTo(
      140 / 164.5,
      9,
    );
    expect(keyShape(pitch(66), narrow).right - keyShape(pitch(66), narrow).left).toBeCloseTo(9.5, 9);
  });

  it("is its own mirror about D and about A flat", () => {
    for (const centre of [62, 68]) {
      for (let key = centre - 12; key <= centre + 12; key++) {
        const image = reflect(pitch(key), pitch(centre));
        expect(isBlack(image)).toBe(isBlack(pitch(key)));
        expect(distance(pitch(centre), image, FULL_SIZE)).toBeCloseTo(
          -distance(pitch(centre), pitch(key), FULL_SIZE),
          9,
        );
      }
    }
  });

  it("has 88 keys that fill it without gap, the outermost with one open side", () => {
    const whites = allKeys(FULL_SIZE).filter((k) => !k.black);
    expect(allKeys(FULL_SIZE).length).toBe(88);
    whites.slice(1).forEach((key, i) => expect(key.left).toBeCloseTo(whites[i]!.right, 9));
    expect(keyShape(pitch(21), FULL_SIZE).tailLeft).toBe(keyShape(pitch(21), FULL_SIZE).left);
    expect(keyShape(pitch(108), FULL_SIZE).tailRight).toBe(keyShape(pitch(108), FULL_SIZE).right);
  });

  it("puts every usual contact on its own key", () => {
    for (const { key, left, right } of allKeys(FULL_SIZE)) {
      const { x, leftmost, rightmost } = contactOn(key, FULL_SIZE);
      expect(x).toBeGreaterThan(left);
      expect(x).toBeLessThan(right);
      expect(leftmost).toBeLessThanOrEqual(x);
      expect(rightmost).toBeGreaterThanOrEqual(x);
    }
  });

  it("meets a white key between the middles of its head and of its part between the black keys, a black one on its middle", () => {
    for (const { key, left, right, tailLeft, tailRight } of allKeys(FULL_SIZE)) {
      const [middle, tail] = [(left + right) / 2, (tailLeft + tailRight) / 2];
      const { x, head } = contactOn(key, FULL_SIZE);
      expect(head).toBeCloseTo(middle, 9);
      expect(x).toBeCloseTo((middle + tail) / 2, 9);
    }
  });

  it("names keys and refuses those it does not have", () => {
    expect(pitchName(pitch(60))).toBe("C 4");
    expect(pitchName(pitch(70))).toBe("B flat 4");
    expect(() => pitch(109)).toThrow("Key 109");
    expect(() => reflect(pitch(30), pitch(104))).toThrow("Key 178");
    expect(() => instrument(90)).toThrow("90 mm");
  });
});
