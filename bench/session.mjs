// A signed-in session for the benches, without a browser.
export function session(address) {
  const cookies = {};
  let token = '';
  const headers = (extra) => ({
    cookie: Object.entries(cookies)
      .map(([k, v]) => `${k}=${v}`)
      .join('; '),
    'X-XSRF-TOKEN': token,
    ...extra,
  });
  async function raw(method, path, body, type = 'application/json') {
    const response = await fetch(address + path, {
      method,
      headers: headers(body ? { 'content-type': type } : {}),
      body: body && (type === 'application/json' ? JSON.stringify(body) : body),
    });
    for (const c of response.headers.getSetCookie()) {
      const [pair] = c.split(';');
      const at = pair.indexOf('=');
      cookies[pair.slice(0, at)] = pair.slice(at + 1);
    }
    if (!response.ok) throw new Error(`${path}: ${response.status} ${await response.text()}`);
    return response;
  }
  const call = async (...args) => {
    const text = await (await raw(...args)).text();
    return text ? JSON.parse(text) : null;
  };
  const renew = async () => {
    const s = await call('GET', '/api/session');
    token = s.token;
    return s;
  };
  const signIn = async (userName, password) => {
    await renew();
    await call('POST', '/api/session/adult', { userName, password });
    return renew();
  };
  const firstRun = async () => {
    await renew();
    const day = (n) => new Date(Date.now() + n * 86400000).toISOString().slice(0, 10);
    await call('POST', '/api/first-run', {
      schoolName: 'Large School',
      timeZone: 'Europe/London',
      name: 'Lead',
      userName: 'lead',
      password: 'low water at nine',
      yearFirstDay: day(-60),
      yearLastDay: day(240),
    });
    return renew();
  };
  return { call, raw, signIn, firstRun };
}
