import fc from "fast-check";
import { runs } from "@/runs.testing";
import { outlineOfShape } from "../stone/shapes/shapes";
import { anyShape } from "../stone/shapes/any-shape.testing";
import { chordStep, trackOf } from "./chords";
import { outward } from "./outline";

test("a track goes round its loop at an even pace, and is where it began after its length", () => {
  fc.assert(
    fc.property(anyShape, fc.double({ min: 0.2, max: 3, noNaN: true }), (shape, d) => {
      const track = trackOf(outward(outlineOfShape(shape), d));
      const steps = 600;
      const step = track.length / steps;
      const points = Array.from({ length: steps + 1 }, (_, i) => track.pointAt(i * step));
      const chords = points.slice(1).map(([x, y], i) => Math.hypot(x - points[i]![0], y - points[i]![1]));
      expect(chords.reduce((all, chord) => all + chord, 0) / track.length).toBeGreaterThan(0.98);
      expect(Math.max(...chords)).toBeLessThan(step * 1.5);
      expect(Math.hypot(points[steps]![0] - points[0]![0], points[steps]![1] - points[0]![1])).toBeLessThan(1e-6);
      const [x, y] = track.pointAt(step - track.length);
      expect(Math.hypot(x - points[1]![0], y - points[1]![1])).toBeLessThan(1e-6);
    }),
    { numRuns: runs(60) },
  );
});

test("a step along a track ends a chord away, and is none where the track comes no further off", () => {
  const loop = outward(outlineOfShape({ shape: "round", diameter: 10 }), 1);
  const track = trackOf(loop);
  for (const chord of [0.1, 1, 5, 11.9]) {
    const next = chordStep(track, 3, chord)!;
    expect(next - 3).toBeCloseTo(12 * Math.asin(chord / 12), 9);
  }
  expect(chordStep(track, 3, 12.1)).toBeNull();
});
