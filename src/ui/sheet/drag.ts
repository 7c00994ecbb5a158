import type { MouseEvent } from 'react';

/** Where the button of the mouse went down last: there is one mouse. */
let pressed: { readonly x: number; readonly y: number } | undefined;

export const press = ({ screenX, screenY }: MouseEvent): void => {
  pressed = { x: screenX, y: screenY };
};

/**
 * Whether the mouse goes over a cell with its button down. A cell that comes to lie under a mouse that stands still, because something
 * above the sheet went away, is not gone over.
 */
export const isDragged = ({ buttons, screenX, screenY }: MouseEvent): boolean =>
  buttons === 1 && (screenX !== pressed?.x || screenY !== pressed.y);
