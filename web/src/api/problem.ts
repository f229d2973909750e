// What is wrong with something that was asked, as the server says it (RFC 9457).
import * as m from '#messages';
import type { components } from './generated';

type ProblemBody = components['schemas']['Problem'];

/** An answer of the server that says what is wrong. Status 0: there was no answer. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: { field: string; message: string }[] = [],
  ) {
    super(message);
  }

  field(name: string): string | undefined {
    return this.errors.find((error) => error.field === name)?.message;
  }
}

export function isProblem(error: unknown, status?: number): error is ApiProblem {
  return error instanceof ApiProblem && (status === undefined || error.status === status);
}

/** Worth trying again later: no answer, or the server says that it is busy. */
export function isPassing(error: unknown): boolean {
  return error instanceof ApiProblem && (error.status === 0 || error.status >= 502 || error.status === 429);
}

export function problemText(error: unknown): string {
  return error instanceof ApiProblem ? error.message : m.common_broken();
}

export function toProblem(status: number, body: unknown): ApiProblem {
  const problem = body as Partial<ProblemBody> | null | undefined;
  if (typeof problem === 'object' && problem !== null && typeof problem.title === 'string') {
    return new ApiProblem(status, problem.title, problem.errors ?? []);
  }
  return new ApiProblem(status, status === 0 ? m.common_offline() : m.common_broken());
}
