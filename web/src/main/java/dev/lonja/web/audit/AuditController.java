package dev.lonja.web.audit;

import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.AuditDesk;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Matter;
import dev.lonja.web.frame.DeedWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The page of who did what, with a filter, and the same as lines of JSON. */
@Controller
class AuditController {

  private static final String PATH = "/setup/audit";

  private final AuditDesk desk;
  private final StoreClock clock;

  AuditController(AuditDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping(PATH)
  String lines(@RequestParam Map<String, String> fields, Model model) {
    Typed typed = new Typed();
    AuditLog.Filter filter = filter(typed, fields);
    Optional<Long> older = Optional.of(fields.getOrDefault("older", "")).flatMap(this::number);
    AuditDesk.Lines lines = desk.lines(filter, older);
    model.addAttribute("view", view(fields, filter, lines));
    model.addAttribute("typed", fields);
    model.addAttribute("problems", typed.problems());
    return "audit/audit";
  }

  @GetMapping(PATH + ".jsonl")
  void json(
      @RequestParam Map<String, String> fields,
      Principal person,
      HttpServletRequest request,
      HttpServletResponse response)
      throws IOException {
    AuditLog.Filter filter = filter(new Typed(), fields);
    response.setContentType("application/x-ndjson");
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        "attachment; filename=\"audit-" + clock.today() + ".jsonl\"");
    Writer writer = response.getWriter();
    desk.each(
        new Trail.By(person.getName(), request.getRemoteAddr()),
        filter,
        line -> write(writer, line));
    writer.flush();
  }

  private static void write(Writer writer, AuditLine line) {
    try {
      writer.write(line.json());
      writer.write('\n');
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private Optional<Long> number(String text) {
    return text.matches("[0-9]{1,18}") ? Optional.of(Long.parseLong(text)) : Optional.empty();
  }

  private AuditLog.Filter filter(Typed typed, Map<String, String> fields) {
    return new AuditLog.Filter(
        fields.getOrDefault("who", "").strip(),
        choice(typed, fields, "matter", Matter.class),
        choice(typed, fields, "deed", Deed.class),
        day(typed, fields, "from").map(clock::beginOf),
        day(typed, fields, "until").map(day -> clock.beginOf(day.plusDays(1))));
  }

  private static <E extends Enum<E>> Optional<E> choice(
      Typed typed, Map<String, String> fields, String field, Class<E> type) {
    String text = fields.getOrDefault(field, "");
    return text.isEmpty()
        ? Optional.empty()
        : typed.choice(field, "one of the list, or all", text, type);
  }

  private static Optional<LocalDate> day(Typed typed, Map<String, String> fields, String field) {
    String text = fields.getOrDefault(field, "");
    return text.isBlank() ? Optional.empty() : typed.day(field, text);
  }

  private AuditView view(
      Map<String, String> fields, AuditLog.Filter filter, AuditDesk.Lines lines) {
    Map<String, String> kept = new LinkedHashMap<>(fields);
    kept.remove("older");
    return new AuditView(
        choices(Matter.values(), filter.matter(), DeedWording::of),
        choices(Deed.values(), filter.deed(), DeedWording::of),
        lines.lines().stream().map(line -> row(line, lines.people())).toList(),
        lines
            .older()
            .map(number -> link(PATH, kept) + (kept.isEmpty() ? "?" : "&") + "older=" + number),
        link(PATH + ".jsonl", kept));
  }

  private static String link(String path, Map<String, String> fields) {
    UriComponentsBuilder link = UriComponentsBuilder.fromPath(path);
    fields.forEach(link::queryParam);
    return link.encode().build().toUriString();
  }

  private static <E extends Enum<E>> List<AuditView.Choice> choices(
      E[] values, Optional<E> chosen, Function<E, String> words) {
    return Arrays.stream(values)
        .map(
            value ->
                new AuditView.Choice(
                    value.name().toLowerCase(Locale.ROOT),
                    words.apply(value),
                    chosen.filter(value::equals).isPresent()))
        .toList();
  }

  private AuditView.Row row(AuditLine line, Map<String, String> people) {
    String which =
        line.matter() == Matter.PERSON
            ? people.getOrDefault(line.subject(), line.subject())
            : line.subject();
    String subject = which.isEmpty() ? "" : " " + which;
    return new AuditView.Row(
        Words.day(clock.dayOf(line.at()), clock.today()),
        clock.timeOf(line.at()),
        line.actor().isEmpty() ? "nobody signed in" : line.actor(),
        line.origin(),
        DeedWording.of(line.matter()) + subject + " · " + DeedWording.of(line.deed()),
        DeedWording.facts(line));
  }
}
