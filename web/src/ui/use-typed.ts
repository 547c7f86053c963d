import { useEffect, useRef, useState } from 'react';

interface Typed {
  readonly text: string;
  readonly setText: (text: string) => void;
  /** Takes what is typed, if that is something else. */
  readonly take: () => void;
}

/**
 * What is typed in a field until it is taken: with Enter, when the field is left, and also when it
 * goes away with what it stands in, so that nothing typed is lost.
 */
export function useTyped(value: string, onTake: (text: string) => void): Typed {
  const [text, setText] = useState(value);
  useEffect(() => setText(value), [value]);
  const take = () => text !== value && onTake(text);
  const last = useRef(take);
  useEffect(() => {
    last.current = take;
  });
  useEffect(() => () => void last.current(), []);
  return { text, setText, take };
}
