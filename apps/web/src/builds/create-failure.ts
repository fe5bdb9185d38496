/** Why a build could not be made, in a sentence. */
export function createFailure(error: unknown): string {
  const data = typeof error === 'object' && error !== null && 'data' in error ? error.data : undefined;
  const said = (data as { error?: { message?: string; allowed?: string } } | undefined)?.error;
  return said?.message === undefined
    ? 'The server does not answer. Your answers stay here; try again.'
    : `${said.message} Allowed: ${said.allowed}.`;
}
