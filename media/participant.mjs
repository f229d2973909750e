// Who is at the other end of a connection. nginx has checked the signature over it; the application wrote it
// (`MediaAddress`).

/**
 * @param text base64url of JSON {id, name}
 * @returns {id, name}, or null where it is none
 */
export function readParticipant(text) {
  try {
    const { id, name } = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'));
    return /^(staff-)?[0-9a-f-]{36}$/.test(id) && typeof name === 'string' && name.length <= 200 ? { id, name } : null;
  } catch {
    return null;
  }
}
