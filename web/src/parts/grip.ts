import { type PointerEvent, type RefObject, useEffect, useRef } from 'react';

interface Dragging {
  readonly onGrab: () => void;
  readonly onDrag: (event: PointerEvent<SVGElement>) => void;
  readonly onDrop: () => void;
}

/** Makes a mark in a picture one that is dragged by mouse, pen or finger. */
export function useGrip({ onGrab, onDrag, onDrop }: Dragging) {
  const ref: RefObject<SVGGElement | null> = useRef(null);
  useEffect(() => {
    const grip = ref.current;
    // In a picture drawn to another scale Chromium does not heed touch-action, and takes the gesture to scroll.
    const keepFinger = (event: TouchEvent) => event.preventDefault();
    grip?.addEventListener('touchstart', keepFinger, { passive: false });
    return () => grip?.removeEventListener('touchstart', keepFinger);
  }, []);
  return {
    ref,
    onPointerDown: (event: PointerEvent<SVGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      onGrab();
    },
    onPointerMove: onDrag,
    onLostPointerCapture: onDrop,
  };
}

/** Where a pointer that is down stands in its picture, in the units that is drawn in: so many wide, or pixels. Null while it is up. */
export function pointerIn(
  { buttons, currentTarget, clientX, clientY }: PointerEvent<SVGElement>,
  widthPx?: number,
): { readonly x: number; readonly y: number } | null {
  const svg = currentTarget.closest('svg');
  if (buttons !== 1 || !svg) return null;
  const { left, top, width } = svg.getBoundingClientRect();
  const scale = (widthPx ?? width) / width;
  return { x: (clientX - left) * scale, y: (clientY - top) * scale };
}
