/** A colour of the style sheet; a canvas cannot read custom properties by itself. */
export const cssColour = (property: string): string =>
  getComputedStyle(document.body).getPropertyValue(property).trim() || '#333';
