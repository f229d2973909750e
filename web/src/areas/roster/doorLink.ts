/** The way to the students' door with the door word filled in, and a name where one is given. */
export function doorLink(doorWord: string, name?: string): string {
  const filled = new URLSearchParams(name === undefined ? { door: doorWord } : { door: doorWord, name });
  return `${window.location.origin}/student?${filled.toString()}`;
}
