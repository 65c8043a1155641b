/** Prints the outings ahead as the server judges them: `node docs/examples/api.mjs http://127.0.0.1:4180 [name password]`. */
const [base = 'http://127.0.0.1:4180', name, password] = process.argv.slice(2);
const headers = { 'content-type': 'application/json' };

/** Asks the API; what it refuses is told in its own words. */
async function ask(method, path, body) {
  const answer = await fetch(`${base}${path}`, {
    method,
    headers,
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const [cookie] = answer.headers.getSetCookie();
  if (cookie) headers.cookie = cookie.split(';')[0];
  const told = await answer.json();
  if (!answer.ok) throw new Error(`${told.title}: ${told.detail}`);
  return told;
}

if (name !== undefined) await ask('POST', '/api/sign-in', { name, password });
const today = new Date().toISOString().slice(0, 10);
const { ahead } = await ask('GET', `/api/summaries?today=${today}`);
for (const { date, title, counts } of ahead)
  console.log(`${date} ${title}: ${counts.stop} Stops, ${counts.mind} Minds`);
