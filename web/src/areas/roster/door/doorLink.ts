/** The way to the students’ door with the door word filled in. */
export function doorLink(doorWord: string): string {
  return `${location.origin}/student?${new URLSearchParams({ door: doorWord }).toString()}`;
}
