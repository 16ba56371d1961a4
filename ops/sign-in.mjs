// @ts-check
// For scripts that look at a server with the demo team.

/** Signs in as somebody of the demo and gives the session's cookie. @param {string} address @param {string} [role] @returns {Promise<string>} */
export async function signInToDemo(address, role = 'coordinator') {
  const session = /** @type {any} */ (await (await fetch(`${address}/api/v1/session`)).json());
  const { personId } = session.demoPeople.find((/** @type {{ role: string }} */ person) => person.role === role);
  const answer = await fetch(`${address}/api/v1/session/demo`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ personId }),
  });
  return String(answer.headers.get('set-cookie')).split(';')[0] ?? '';
}
