import { describe, expect, it } from 'vitest';
import { ApiProblem, isPassing, isProblem, problemText, toProblem } from './problem';

describe('an answer that says what is wrong', () => {
  it('keeps the server’s words and the fields they are about', () => {
    const problem = toProblem(422, { title: 'No.', errors: [{ field: 'name', message: 'Too long.' }] });
    expect([problem.status, problem.message, problem.field('name'), problem.field('age')]).toEqual([
      422,
      'No.',
      'Too long.',
      undefined,
    ]);
  });

  it.each([undefined, null, 'text', [], {}, { title: 7 }])('makes do with anything: %j', (body) => {
    expect(toProblem(500, body).message).toContain('didn’t work');
    expect(toProblem(0, body).message).toContain('The server isn’t answering');
  });

  it('is worth another try only while it may pass', () => {
    expect([0, 429, 502, 503, 504].every((status) => isPassing(new ApiProblem(status, '')))).toBe(true);
    expect([400, 401, 404, 409, 422, 500].some((status) => isPassing(new ApiProblem(status, '')))).toBe(false);
    expect(isPassing(new Error('x'))).toBe(false);
  });

  it('is told from other errors, which are never shown as they are', () => {
    expect([isProblem(new ApiProblem(404, '')), isProblem(new ApiProblem(404, ''), 409), isProblem('x')]).toEqual([
      true,
      false,
      false,
    ]);
    expect(problemText(new Error('secret'))).not.toContain('secret');
  });
});
