package dev.lonja.app.fuzz;

import dev.lonja.app.demo.DemoStore;
import dev.lonja.app.server.Visitor;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;

/**
 * Finds every form by walking the pages, then sends each with values that nobody should type. What
 * answers as if the server had broken is reported.
 */
final class FormFuzz {

  /** Values that have broken programs before. */
  private static final List<String> NASTY =
      List.of(
          "",
          " ",
          "0",
          "-1",
          "1",
          "2",
          "999999999999",
          "99999999999999999999999999",
          "1e309",
          "-0.0000000001",
          "NaN",
          "null",
          "undefined",
          "1,5",
          "\u0000",
          "a\u0000b",
          "\u202Eevil",
          "\uFEFF",
          "\uD800",
          "१२३",
          "½",
          "0000-00-00",
          "2027-02-30",
          "9999-12-31",
          "-999999999-01-01",
          "+999999999-12-31",
          "2027-03-15",
          "1900-01-01",
          "<script>alert(1)</script>",
          "' OR 1=1 --",
          "\"; DROP TABLE person; --",
          "../../etc/passwd",
          "%s%n%x",
          "${7*7}",
          "__${7*7}__::x",
          "=1+1",
          "🐟",
          "true",
          "STOREKEEPER",
          "x".repeat(300),
          "9".repeat(5_000),
          "line\r\nSet-Cookie: a=b");

  private static final Set<String> CARRYING = Set.of("_csrf");
  private static final Set<String> NEVER_SENT = Set.of("/sign-out");

  private final Visitor visitor;
  private final int mostPages;
  private final Random random;
  private Optional<String> token = Optional.empty();
  private final List<String> broken = new ArrayList<>();

  /**
   * @param mostPages that are looked through for forms
   */
  FormFuzz(Visitor visitor, long seed, int mostPages) {
    this.mostPages = mostPages;
    this.visitor = visitor;
    this.random = new Random(seed);
  }

  /** A form: where it goes, how, and with what. */
  private record Found(String page, String action, String method, Map<String, String> fields) {
    /** The same form of another thing is not sent again. */
    String kind() {
      return method
          + " "
          + action
              .replaceAll("\\?.*", "")
              .replaceAll("policies/[a-z-]+", "policies/#")
              .replaceAll("[0-9]+|[A-Z]{2}-[0-9]+", "#")
          + namesByPattern().keySet();
    }

    /** Of the rows of a list one field stands for all that are called like it. */
    Map<String, String> namesByPattern() {
      Map<String, String> names = new LinkedHashMap<>();
      fields.keySet().forEach(name -> names.putIfAbsent(name.replaceAll("[0-9]+", "#"), name));
      return names;
    }
  }

  /**
   * Sends {@code times} bad versions of each form, and as many that lack a field; answers what
   * broke.
   */
  List<String> run(int times) {
    for (Found form : forms()) {
      for (int i = 0; i < times; i++) {
        send(form, spoilt(form.fields()));
      }
      List<String> names = new ArrayList<>(form.namesByPattern().values());
      Collections.shuffle(names, random);
      for (String field : names.subList(0, Math.min(times, names.size()))) {
        Map<String, String> without = new LinkedHashMap<>(form.fields());
        without.remove(field);
        send(form, without);
      }
    }
    return broken;
  }

  private Map<String, String> spoilt(Map<String, String> fields) {
    Map<String, String> spoilt = new LinkedHashMap<>(fields);
    List<String> names = fields.keySet().stream().filter(n -> !CARRYING.contains(n)).toList();
    if (!names.isEmpty()) {
      int many = 1 + random.nextInt(Math.min(3, names.size()));
      for (int i = 0; i < many; i++) {
        spoilt.put(
            names.get(random.nextInt(names.size())), NASTY.get(random.nextInt(NASTY.size())));
      }
    }
    if (spoilt.containsKey("requestKey") && random.nextInt(10) > 0) {
      spoilt.put("requestKey", "fuzz-" + random.nextLong(1L << 60));
    }
    return spoilt;
  }

  private void send(Found form, Map<String, String> fields) {
    long begun = System.nanoTime();
    Map<String, String> sent = new LinkedHashMap<>(fields);
    if (sent.containsKey("_csrf")) {
      sent.put("_csrf", token());
    }
    Visitor.Page answer =
        form.method().equals("post")
            ? visitor.post(form.action(), sent)
            : visitor.get(form.action() + "?" + Visitor.query(sent));
    double seconds = (System.nanoTime() - begun) / 1e9;
    if (answer.status() == 403 || answer.path().startsWith("/sign-in")) {
      // one of the forms has ended the session, as it should
      token = Optional.empty();
    }
    if (answer.status() >= 500 || seconds > 20) {
      broken.add(
          answer.status()
              + " after "
              + Math.round(seconds)
              + " s: "
              + form.method()
              + " "
              + form.action()
              + " "
              + shown(sent));
    }
  }

  private String token() {
    if (token.isEmpty()) {
      if (!visitor.get("/me").hasForm("/sign-out")) {
        visitor.signIn("administrator", DemoStore.PASSWORD);
      }
      token =
          Optional.of(visitor.get("/me").form("/sign-out").select("[name=_csrf]").attr("value"));
    }
    return token.get();
  }

  private static String shown(Map<String, String> fields) {
    Map<String, String> shown = new LinkedHashMap<>(fields);
    shown.remove("_csrf");
    shown.replaceAll((name, value) -> value.length() > 60 ? value.substring(0, 60) + "…" : value);
    return shown.toString();
  }

  private List<Found> forms() {
    Map<String, Found> forms = new LinkedHashMap<>();
    Set<String> seen = new TreeSet<>();
    Deque<String> paths = new ArrayDeque<>(List.of("/"));
    int pages = 0;
    while (!paths.isEmpty() && pages < mostPages) {
      String path = paths.poll();
      Visitor.Page page = visitor.get(path);
      pages++;
      if (page.status() >= 500) {
        broken.add(page.status() + ": get " + path);
      }
      for (Element element : page.document().select("form")) {
        FormElement form = (FormElement) element;
        Found found = found(path, form);
        if (!NEVER_SENT.contains(found.action())) {
          forms.putIfAbsent(found.kind(), found);
        }
      }
      for (Element link : page.document().select("a[href]")) {
        String to = link.attr("href");
        String kind = to.replaceAll("[0-9]+", "#").replaceAll("[A-Z]{2}-#", "#");
        boolean page2 = to.startsWith("/") && !to.matches(".*\\.(pdf|csv|jsonl|db|ics)(\\?.*)?");
        if (page2 && seen.add(kind)) {
          paths.add(to);
        }
      }
    }
    return List.copyOf(forms.values());
  }

  private static Found found(String path, FormElement form) {
    Map<String, String> fields = new LinkedHashMap<>();
    form.formData().forEach(field -> fields.put(field.key(), field.value()));
    form.select("input[name], select[name], textarea[name]")
        .forEach(input -> fields.putIfAbsent(input.attr("name"), ""));
    String action = form.attr("action").isEmpty() ? path : form.attr("action");
    String method = form.attr("method").equalsIgnoreCase("post") ? "post" : "get";
    return new Found(path, action, method, fields);
  }
}
