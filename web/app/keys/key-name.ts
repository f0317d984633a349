/** What of a keyboard event its name is made of. */
export type Pressed = Pick<KeyboardEvent, 'key' | 'shiftKey' | 'ctrlKey' | 'metaKey' | 'altKey'>;

const drawn: Record<string, string> = {
  ArrowLeft: '←',
  ArrowRight: '→',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ' ': 'Space',
  Escape: 'Esc',
  Delete: 'Del',
};

/**
 * The name of a key press, such as “a”, “Shift+ArrowLeft” or “Ctrl+z”. Letters are told in lower case; a sign that needs Shift
 * on some keyboards and not on others (such as “?”) is told as the sign alone. Command counts as Ctrl.
 */
export function keyName({ key, shiftKey, ctrlKey, metaKey, altKey }: Pressed): string {
  const letter = key.length === 1 && key.toLowerCase() !== key.toUpperCase();
  const sign = key.length === 1 && !letter && key !== ' ';
  const parts = [ctrlKey || metaKey ? 'Ctrl' : '', altKey ? 'Alt' : '', shiftKey && !sign ? 'Shift' : ''].filter(Boolean);
  return [...parts, letter ? key.toLowerCase() : key].join('+');
}

/** How a key name is drawn on the screen. */
export const drawnKey = (name: string): string =>
  name
    .split(/\+(?=.)/)
    .map((part) => drawn[part] ?? (part.length === 1 ? part.toUpperCase() : part))
    .join(' ');
