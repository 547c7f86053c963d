import { type RefObject, useLayoutEffect, useState } from 'react';

/** The pixels there are inside an element, its edges taken off; `first` until it was measured. */
export function useInnerWidth(of: RefObject<HTMLElement | null>, first: number): number {
  const [width, setWidth] = useState(first);
  useLayoutEffect(() => {
    const element = of.current;
    if (element === null || typeof ResizeObserver === 'undefined') return;
    const measure = () => {
      const { paddingLeft, paddingRight } = getComputedStyle(element);
      setWidth(element.clientWidth - Number.parseFloat(paddingLeft) - Number.parseFloat(paddingRight));
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, [of]);
  return width;
}
