/** A calculation over HTTP. */
export async function calculated(server, name, input) {
  const response = await fetch(`${server.url}/api/calc/${name}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(input),
  });
  const answer = await response.json();
  return answer.output ?? answer;
}
