"use client";

import { type RefObject, useLayoutEffect, useRef, useState } from "react";

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size of an element in CSS pixels, followed as it changes. */
export function useSize(width: number, height: number): [RefObject<HTMLDivElement | null>, Size] {
  const ref = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState<Size>({ width, height });
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return;
    const follow = () => {
      const { clientWidth, clientHeight } = element;
      setSize((last) => (last.width === clientWidth && last.height === clientHeight ? last : { width: clientWidth, height: clientHeight }));
    };
    follow();
    const watch = new ResizeObserver(follow);
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return [ref, size];
}
