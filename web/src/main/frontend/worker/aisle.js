// Keeps the pages that work in the aisle needs, and what was done there while there was no network. That is sent in order,
// once each, with how long ago it was done; what the server says of it is kept until somebody has seen it.
const PAGES = "aisle-pages";
const PARTS = "aisle-parts";
const KEPT = /^\/(trays(\/\d+(\/card)?)?|stores\/counts)?$/;
const ACTS = [
  /^(\/trays\/\d+)\/(scan|scan-back|take-back|back|lines\/\d+\/(lay|take-off|leave-out|want-again))$/,
  /^(\/stores\/counts)\/\d+$/,
];
// the page on which something is done; undefined of what waits for nobody
const pageOf = (path) => ACTS.map((act) => act.exec(path)?.[1]).find((found) => found !== undefined);
const KEY = /by[0-9a-f]{12}-[0-9a-f-]{36}/g;
// how long a page that is kept, or something done, waits for an answer
const PATIENCE = 6_000;
const FRESH = 600_000;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

// --- what was done, in the browser's own database ---

const database = new Promise((open, fail) => {
  const request = indexedDB.open("aisle", 1);
  request.onupgradeneeded = () => {
    request.result.createObjectStore("acts", { keyPath: "id", autoIncrement: true });
    request.result.createObjectStore("facts");
  };
  request.onsuccess = () => open(request.result);
  request.onerror = () => fail(request.error);
});

const within = async (store, mode, work) => {
  const transaction = (await database).transaction(store, mode, { durability: "strict" });
  return new Promise((done, fail) => {
    const request = work(transaction.objectStore(store));
    transaction.oncomplete = () => done(request.result);
    transaction.onerror = () => fail(transaction.error);
    transaction.onabort = () => fail(transaction.error);
  });
};

const allActs = () => within("acts", "readonly", (acts) => acts.getAll());
const waiting = async () => (await allActs()).filter((act) => !act.why);
const put = (act) => within("acts", "readwrite", (acts) => acts.put(act));
const drop = (id) => within("acts", "readwrite", (acts) => acts.delete(id));
const person = () => within("facts", "readonly", (facts) => facts.get("person"));

// --- pages ---

const patient = (answer) =>
  Promise.race([answer, new Promise((_, fail) => setTimeout(() => fail(new Error("no answer")), PATIENCE))]);

const keepPage = async (path, answer) => {
  const headers = new Headers(answer.headers);
  headers.set("Kept-At", String(Date.now()));
  const pages = await caches.open(PAGES);
  await pages.put(path, new Response(await answer.text(), { headers }));
};

// Each time it is shown its forms get keys of their own: what is done on it is done anew.
const keptPage = async (kept) => {
  const headers = new Headers(kept.headers);
  headers.delete("Content-Encoding");
  headers.delete("Content-Length");
  const fresh = crypto.randomUUID();
  const text = (await kept.text())
    .replace(KEY, (key) => key.slice(0, 15) + fresh)
    .replace("<html ", `<html data-kept="${headers.get("Kept-At")}" `);
  return new Response(text, { headers });
};

const nothingKept = async () => {
  const pages = await caches.open(PAGES);
  const rows = [];
  for (const request of await pages.keys()) {
    const title = /<title>(.*?)<\/title>/.exec(await (await pages.match(request)).text())?.[1] ?? request.url;
    rows.push([title.replace(" · Lonja", ""), new URL(request.url).pathname]);
  }
  const links = rows.sort().map(([title, path]) => `<li><a href="${path}">${title}</a></li>`);
  return new Response(
    `<!DOCTYPE html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">` +
      `<title>No network · Lonja</title><style>body{font:16px/1.5 sans-serif;margin:16px;background:#e4ebe8;color:#0e2b33}` +
      `a{color:#0b6573;display:inline-block;padding:8px 0;min-height:28px}</style><main><h1>No network</h1>` +
      `<p>This page is not kept on this device. Nothing that you did is lost.</p><p>Kept are:</p><ul>${links.join("")}</ul></main></html>`,
    {
      status: 503,
      headers: { "Content-Type": "text/html; charset=utf-8", "Content-Security-Policy": "default-src 'none'; style-src 'unsafe-inline'" },
    },
  );
};

const page = async (event, path) => {
  const { request } = event;
  // a page that was asked for with more, such as the book beside what is to be counted, is not the page that is kept
  const isPlain = KEPT.test(path) && new URL(request.url).search === "";
  const kept = KEPT.test(path) ? await (await caches.open(PAGES)).match(path) : undefined;
  try {
    const answer = await (kept ? patient(fetch(request)) : fetch(request));
    if (answer.ok && isPlain) {
      event.waitUntil(keepPage(path, answer.clone()));
    }
    return answer;
  } catch {
    return kept ? keptPage(kept) : nothingKept();
  }
};

// A part's name changes with its content, so one that is kept is never out of date.
const part = async (request) => {
  const parts = await caches.open(PARTS);
  const kept = await parts.match(request);
  if (kept) {
    return kept;
  }
  const answer = await fetch(request);
  if (answer.ok) {
    await parts.put(request, answer.clone());
  }
  return answer;
};

const keepAhead = async (paths) => {
  const pages = await caches.open(PAGES);
  for (const path of paths.filter((candidate) => KEPT.test(candidate))) {
    const kept = await pages.match(path);
    if (kept && Date.now() - Number(kept.headers.get("Kept-At")) < FRESH) {
      continue;
    }
    const answer = await fetch(path, { headers: { "Lonja-Keep": "1" }, redirect: "manual" });
    if (answer.ok) {
      await keepPage(path, answer);
    }
  }
};

// --- sending ---

let line = "unknown";

const tell = async () => {
  for (const client of await self.clients.matchAll({ type: "window" })) {
    client.postMessage("aisle");
  }
};

const askLine = async () => {
  try {
    const answer = await patient(fetch("/aisle", { redirect: "manual" }));
    line = answer.ok ? "open" : "signed out";
    return answer.ok ? await answer.json() : null;
  } catch {
    line = "none";
    return null;
  }
};

const sendOne = async (act, open) => {
  const body = new URLSearchParams(act.fields.filter(([name]) => name !== open.field));
  body.append(open.field, open.token);
  const ago = Math.max(0, Math.round((Date.now() - act.at) / 1000));
  const answer = await patient(
    fetch(act.path, { method: "POST", body, redirect: "manual", headers: { "Lonja-Seconds-Ago": String(ago) } }),
  );
  if (answer.ok && answer.headers.get("Content-Type")?.includes("json")) {
    return answer.json();
  }
  return answer.status >= 400 && answer.status < 500 && answer.status !== 401 && answer.status !== 403
    ? { done: false, why: [`The server did not take it (${answer.status}).`] }
    : null;
};

const sendAll = async () => {
  const acts = await waiting();
  if (acts.length === 0) {
    return true;
  }
  const open = await askLine();
  for (const act of acts) {
    if (open === null || act.person !== open.person) {
      return false;
    }
    const answer = await sendOne(act, open).catch(() => null);
    if (answer === null) {
      return false;
    }
    await (answer.done ? drop(act.id) : put({ ...act, why: answer.why }));
  }
  await tell();
  return true;
};

let sending = Promise.resolve(true);
const send = () => (sending = sending.then(sendAll, sendAll));

// What is done goes out at once if it can, and never before what was done earlier.
const act = async (request, path) => {
  const copy = request.clone();
  if (await send()) {
    try {
      return await patient(fetch(request));
    } catch {
      line = "none";
    }
  }
  const fields = [...(await copy.formData())].map(([name, value]) => [name, String(value)]);
  const key = fields.find(([name]) => name === "requestKey")?.[1];
  const isTwice = (await allActs()).some((other) => other.key === key);
  if (!isTwice) {
    await put({ path, tray: pageOf(path), fields, key, at: Date.now(), person: await person() });
  }
  return Response.redirect(pageOf(path), 303);
};

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin) {
    return;
  }
  if (request.method === "POST" && request.mode === "navigate" && pageOf(pathname)) {
    event.respondWith(act(request, pathname));
  } else if (request.method === "GET" && request.mode === "navigate") {
    event.respondWith(page(event, pathname));
  } else if (request.method === "GET" && pathname.startsWith("/assets/")) {
    event.respondWith(part(request));
  }
});

// --- what a page asks ---

const asks = {
  async here({ name }) {
    if ((await person()) !== name) {
      await caches.delete(PAGES);
      await within("facts", "readwrite", (facts) => facts.put(name, "person"));
    }
    return { acts: await allActs(), line };
  },
  async send() {
    if ((await waiting()).length === 0) {
      await askLine();
    } else {
      await send();
    }
    return { acts: await allActs(), line };
  },
  async drop({ id }) {
    await drop(id);
    return { acts: await allActs(), line };
  },
  async keep({ paths }) {
    await keepAhead(paths);
    return {};
  },
};

self.addEventListener("message", (event) => {
  event.waitUntil(
    asks[event.data.what](event.data)
      .then((answer) => event.ports[0]?.postMessage(answer))
      .catch(() => event.ports[0]?.postMessage({ acts: [], line: "none" })),
  );
});
