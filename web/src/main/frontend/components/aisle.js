// Says what was done without a network and waits to be sent, shows it on the page that was kept, and what became of it.
const EVERY = 5_000;

const timeOf = (at) => new Date(Number(at)).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });

const field = (act, name) => act.fields.find(([candidate]) => candidate === name)?.[1] ?? "";

const lines = () => [...document.querySelectorAll("[data-line]")];

// of a count sheet: the bin that was counted
const binOf = (act) => field(act, "at");

const lineOf = (act) => {
  const id = /\/lines\/(\d+)\//.exec(act.path)?.[1];
  const code = keyOf(field(act, "code"));
  return lines().find((line) => line.dataset.line === id || (code && line.dataset.codes.split(" ").includes(code)));
};

const DEEDS = {
  lay: "laid",
  "take-off": "taken off",
  "leave-out": "left out",
  "want-again": "asked for again",
  scan: "scanned",
  "scan-back": "came back",
  "take-back": "came back",
  back: "job taken back",
};
const COUNT = /^\/stores\/counts\//;

const words = (act) => {
  if (COUNT.test(act.path)) {
    return `${timeOf(act.at)} ${binOf(act)}: counted`;
  }
  const deed = DEEDS[act.path.split("/").pop()];
  const what = field(act, "code") || lineOf(act)?.dataset.words || field(act, "back");
  return `${timeOf(act.at)} ${[what, deed].filter(Boolean).join(": ")}`;
};

const count = (acts) => (acts.length === 1 ? "1 thing that was done is" : `${acts.length} things that were done are`);

Alpine.data("aisle", () => ({
  says: "",
  waits: [],
  refused: [],
  wrong: "",
  get isShown() {
    return this.says !== "" || this.wrong !== "" || this.refused.length > 0;
  },
  async init() {
    // whoever else signs in on this device only throws away what was kept for somebody before them
    const keeps = this.$root.dataset.keeps === "true";
    if (!("serviceWorker" in navigator) || !(keeps || navigator.serviceWorker.controller)) {
      return;
    }
    this.kept = document.documentElement.dataset.kept;
    navigator.serviceWorker.addEventListener("message", () => this.ask({ what: "here", name: this.$root.dataset.person }));
    if (!this.kept) {
      await navigator.serviceWorker.register("/aisle.js");
    }
    await this.ask({ what: "here", name: this.$root.dataset.person });
    this.mark();
    setInterval(() => (this.kept || this.waits.length > 0) && this.send(), EVERY);
    if (!this.kept) {
      this.waits.length > 0 && this.send();
      this.keepTrays();
    }
  },
  ask(question) {
    return new Promise((done) => {
      const channel = new MessageChannel();
      channel.port1.onmessage = (event) => {
        event.data.acts && this.show(event.data);
        done();
      };
      navigator.serviceWorker.ready.then(({ active }) => active.postMessage(question, [channel.port2]));
    });
  },
  show({ acts, line }) {
    const row = (act) => ({ id: act.id, act, words: words(act), tray: act.tray, why: (act.why ?? []).join(" ") });
    this.waits = acts.filter((act) => !act.why).map(row);
    this.refused = acts.filter((act) => act.why).map(row);
    const wait = this.waits.length > 0 ? ` ${count(this.waits)} not sent yet.` : "";
    const other = this.waits.find(({ act }) => act.person !== this.$root.dataset.person);
    if (line === "signed out") {
      this.says = `Sign in again.${wait}`;
    } else if (other) {
      this.says = `${wait} They are of ${other.act.person}, who has to sign in here to send them.`;
    } else if (this.kept) {
      const back = line === "open";
      this.says = `${back ? "The network is back." : "No network."} The page stood so at ${timeOf(this.kept)}.${wait}`;
      back && this.waits.length === 0 && !this.isTyping() && location.reload();
    } else {
      this.says = wait;
    }
  },
  // what is half typed is not thrown away by loading the page
  isTyping() {
    return [...document.querySelectorAll("main input:not([type=hidden]), main textarea")].some(
      (typed) => typed.value !== typed.defaultValue,
    );
  },
  send() {
    return this.ask({ what: "send" });
  },
  seen(event) {
    return this.ask({ what: "drop", id: Number(event.target.closest("[data-act]").dataset.act) });
  },
  // it is sent as any other form, so that its page shows what was wrong at its fields
  again(event) {
    const id = Number(event.target.closest("[data-act]").dataset.act);
    const { act } = this.refused.find((row) => row.id === id);
    const key = document.querySelector("[name=requestKey]")?.value ?? "";
    const token = document.querySelector("[name=_csrf]");
    const form = document.createElement("form");
    form.method = "post";
    form.action = act.path;
    const add = (name, value) => {
      const input = document.createElement("input");
      input.type = "hidden";
      input.name = name;
      input.value = value;
      form.append(input);
    };
    act.fields.filter(([name]) => name !== "requestKey" && name !== token.name).forEach(([name, value]) => add(name, value));
    add("requestKey", `${key.slice(0, 15)}${crypto.randomUUID()}-again`);
    add(token.name, token.value);
    document.body.append(form);
    this.seen(event).then(() => form.submit());
  },
  // on a page that was kept, its lines show what was done since
  mark() {
    if (!this.kept) {
      return;
    }
    for (const { act } of this.waits.filter((row) => row.tray === location.pathname)) {
      const line = lineOf(act);
      const deed = act.path.split("/").pop();
      const bin = COUNT.test(act.path) && document.querySelector(`[data-bin="${CSS.escape(binOf(act))}"]`);
      if (bin) {
        this.markBin(bin, act);
      } else if (line) {
        const isOff = deed === "take-off" || deed === "want-again";
        line.classList.toggle("is-laid", !isOff);
        deed === "lay" && line.querySelector(".tick")?.setAttribute("aria-pressed", "true");
        deed === "take-off" && line.querySelector(".tick")?.setAttribute("aria-pressed", "false");
        const note = document.createElement("span");
        note.className = "unsent";
        note.textContent = `${DEEDS[deed]} ${timeOf(act.at)}, not sent yet`;
        line.querySelector(".what").prepend(note);
      }
    }
  },
  markBin(bin, act) {
    const note = document.createElement("p");
    note.className = "unsent";
    note.textContent = `counted ${timeOf(act.at)}, not sent yet`;
    bin.querySelector("form").replaceWith(note);
  },
  // without a network nobody can say what else a number may be
  judge(event) {
    const code = event.target.elements?.code;
    if (!this.kept || !code || event.defaultPrevented || event.target.getAttribute("action").endsWith("/find")) {
      return;
    }
    const known = lines().some((line) => line.dataset.codes.split(" ").includes(keyOf(code.value)));
    this.wrong = known ? "" : `"${code.value}" is on no line of this tray, as far as this device knows. Nothing was laid.`;
    if (!known) {
      event.preventDefault();
      code.select();
    }
  },
  // leaving would lose what is not sent
  leave(event) {
    if (event.target.getAttribute("action").endsWith("/sign-out") && this.waits.length > 0 && !this.leaves) {
      event.preventDefault();
      this.leaves = true;
      this.wrong = `${count(this.waits)} not sent yet, and signing out here loses them. Sign out once more to do so all the same.`;
    }
  },
  // a phone or a tablet keeps the trays and the count sheet that a page names, before the network is gone
  keepTrays() {
    if (matchMedia("(pointer: coarse)").matches && ["/", "/trays", "/stores"].includes(location.pathname)) {
      const links = [...document.querySelectorAll("main a[href^='/trays/'], main a[href='/stores/counts']")];
      const paths = links.map((link) => new URL(link.href).pathname);
      this.ask({ what: "keep", paths: [...new Set(paths)] });
    }
  },
}));
