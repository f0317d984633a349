/** At most so many of a list, spread evenly over it. */
export function evenly<One>(all: readonly One[], most = all.length): One[] {
  const every = Math.max(1, all.length / most);
  return Array.from({ length: Math.floor(all.length / every) }, (_, place) => all[Math.floor(place * every)]!);
}
