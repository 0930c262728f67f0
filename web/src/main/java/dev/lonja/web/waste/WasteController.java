package dev.lonja.web.waste;

import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.StreamId;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteEntryId;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.core.waste.WasteStream;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.waste.WasteDesk;
import dev.lonja.desk.waste.WasteKeepDesk;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What has to be fetched away. */
@Controller
@RequestMapping("/stores/waste")
class WasteController {

  private static final int FINE = 3;

  private final WasteDesk desk;
  private final WasteKeepDesk keep;
  private final ContainerPage page;
  private final StoreClock clock;
  private final PdfRenderer pdf;

  WasteController(
      WasteDesk desk, WasteKeepDesk keep, ContainerPage page, StoreClock clock, PdfRenderer pdf) {
    this.page = page;
    this.pdf = pdf;
    this.desk = desk;
    this.keep = keep;
    this.clock = clock;
  }

  @GetMapping
  String all(Model model) {
    return overview(Map.of(), List.of(), model);
  }

  @GetMapping("/years/{year:[0-9]{4}}")
  String year(@PathVariable int year, Model model) {
    model.addAttribute("view", new WasteWording(clock).year(year, desk.year(year)));
    return "waste/year";
  }

  @GetMapping("/years/{year:[0-9]{4}}.csv")
  ResponseEntity<byte[]> csv(@PathVariable int year) {
    return new WasteWording(clock).csv(desk.year(year)).as("waste-" + year + ".csv");
  }

  /** For the authority, with a place to sign. */
  @GetMapping("/years/{year:[0-9]{4}}.pdf")
  ResponseEntity<byte[]> paper(@PathVariable int year) {
    return pdf.answer(
        "waste-year",
        "waste-" + year + ".pdf",
        Map.of("view", new WasteWording(clock).year(year, desk.year(year)), "store", desk.store()));
  }

  @GetMapping("/{id:[0-9]{1,18}}")
  String one(@PathVariable ContainerId id, Model model) {
    return page.fill(id, Map.of(), List.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}")
  String put(
      @PathVariable ContainerId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    keep.admit();
    Typed typed = new Typed();
    Optional<BigDecimal> amount = amount(typed, id, "amount", "The amount", fields);
    Optional<WasteKind> kind = kind(typed, fields);
    String from = fields.getOrDefault("from", "").strip();
    Optional<String> origin =
        from.isEmpty()
            ? Optional.of("")
            : typed.text("from", "Where it comes from", from, Lengths.REASON);
    return next(
        typed.all(
            () ->
                keep.put(
                    sent,
                    id,
                    new WasteKeepDesk.Waste(
                        kind.orElseThrow(), amount.orElseThrow(), origin.orElseThrow()))),
        typed,
        id,
        fields,
        model);
  }

  private static Optional<WasteKind> kind(Typed typed, Map<String, String> fields) {
    return typed.choice("kind", "what it is", fields.getOrDefault("kind", ""), WasteKind.class);
  }

  private Optional<BigDecimal> amount(
      Typed typed, ContainerId id, String field, String what, Map<String, String> fields) {
    Measure measure = container(id).stand().container().capacity().measure();
    return typed
        .amount(field, what, fields.getOrDefault(field, ""), measure)
        .filter(
            amount -> {
              boolean good = amount.signum() > 0;
              if (!good) {
                typed.refuse(field, what + " is " + amount + "; allowed is more than 0.");
              }
              return good;
            });
  }

  @PostMapping("/{id:[0-9]{1,18}}/entries/{entry:[0-9]{1,18}}/withdraw")
  String withdraw(
      @PathVariable ContainerId id,
      @PathVariable WasteEntryId entry,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    keep.admit();
    Typed typed = new Typed();
    return next(
        typed
            .text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON)
            .map(why -> keep.withdraw(sent, id, entry, why)),
        typed,
        id,
        fields,
        model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/collections")
  String collect(
      @PathVariable ContainerId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    keep.admit();
    Typed typed = new Typed();
    Optional<BigDecimal> taken = amount(typed, id, "taken", "What was taken", fields);
    String leftText = fields.getOrDefault("left", "").strip();
    Optional<BigDecimal> left =
        leftText.isEmpty() || leftText.equals("0")
            ? Optional.of(BigDecimal.ZERO)
            : amount(typed, id, "left", "What stayed in it", fields);
    Optional<String> carrier =
        typed.text("carrier", "Who took it", fields.getOrDefault("carrier", ""), Lengths.NAME);
    Optional<String> document =
        typed.text(
            "document",
            "The number of the paper",
            fields.getOrDefault("document", ""),
            Lengths.SHORT);
    return next(
        typed.all(
            () ->
                keep.collect(
                    sent,
                    id,
                    new WasteKeepDesk.Fetched(
                        taken.orElseThrow(),
                        left.orElseThrow(),
                        carrier.orElseThrow(),
                        document.orElseThrow()))),
        typed,
        id,
        fields,
        model);
  }

  /** What came back of a job goes into a container. */
  @PostMapping("/jobs/{tray:[0-9]{1,18}}")
  String putOfJob(
      @PathVariable TrayId tray, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    keep.admit();
    Typed typed = new Typed();
    Optional<ContainerId> into =
        typed.chosen("into", "a container", fields.getOrDefault("into", ""), ContainerId::valueOf);
    Optional<WasteKind> kind = kind(typed, fields);
    Optional<BigDecimal> amount =
        typed
            .litres("amount", "The amount", fields.getOrDefault("amount", ""), Limits.LITRES)
            .map(volume -> volume.litres());
    Optional<Outcome> outcome =
        typed.all(
            () ->
                keep.putOfJob(
                    sent,
                    into.orElseThrow(),
                    tray,
                    new WasteKeepDesk.Waste(kind.orElseThrow(), amount.orElseThrow(), "")));
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/stores/waste")
                    .worded(WasteRefusals.ALL)
                    .or(problems -> overview(fields, problems, model)))
        .orElseGet(() -> overview(fields, typed.problems(), model));
  }

  @PostMapping("/streams")
  String addStream(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    keep.admit();
    Typed typed = new Typed();
    Optional<WasteKind> kind = kind(typed, fields);
    Optional<String> name =
        typed.text("name", "The name", fields.getOrDefault("name", ""), Lengths.SHORT);
    String codeText = fields.getOrDefault("code", "").strip();
    Optional<String> code =
        codeText.isEmpty()
            ? Optional.of("")
            : typed.text("code", "The code", codeText, Lengths.CODE);
    String limitText = fields.getOrDefault("limit", "").strip();
    Optional<Integer> limit =
        limitText.isEmpty()
            ? Optional.empty()
            : typed.days("limit", "The limit of storage", limitText, WasteStream.MOST_DAYS);
    Optional<Measure> measure =
        typed.choiceOrNone(
            "unit",
            fields.getOrDefault("unit", ""),
            Map.of("L", Measure.LITRES, "kg", Measure.KILOGRAMS, "pc", Measure.PIECES));
    if (measure.isEmpty()) {
      typed.refuse("unit", "Choose what it is counted in.");
    }
    return typed
        .all(
            () ->
                keep.addStream(
                    sent,
                    new WasteKeepDesk.NewStream(
                        kind.orElseThrow(),
                        name.orElseThrow(),
                        code.orElseThrow(),
                        measure.orElseThrow(),
                        limit)))
        .map(
            done ->
                Reply.to(done)
                    .onto("/stores/waste")
                    .worded(WasteRefusals.ALL)
                    .or(problems -> overview(fields, problems, model)))
        .orElseGet(() -> overview(fields, typed.problems(), model));
  }

  @PostMapping("/containers")
  String addContainer(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    keep.admit();
    Typed typed = new Typed();
    Optional<StreamId> stream =
        typed.chosen("stream", "a stream", fields.getOrDefault("stream", ""), StreamId::valueOf);
    Optional<String> name =
        typed.text("name", "The name", fields.getOrDefault("name", ""), Lengths.SHORT);
    Optional<BigDecimal> capacity =
        typed.decimalUpTo(
            "capacity",
            "What it holds",
            fields.getOrDefault("capacity", ""),
            Limits.QUANTITY,
            FINE);
    String placeText = fields.getOrDefault("place", "").strip();
    Optional<String> place =
        placeText.isEmpty()
            ? Optional.of("")
            : typed.text("place", "Where it is", placeText, Lengths.SHORT);
    Optional<Integer> lead =
        typed.wholeBetween(
            "lead",
            "The collector's days",
            fields.getOrDefault("lead", ""),
            0,
            WasteContainer.MOST_LEAD);
    return typed
        .all(
            () ->
                keep.addContainer(
                    sent,
                    new WasteKeepDesk.NewContainer(
                        stream.orElseThrow(),
                        name.orElseThrow(),
                        capacity.orElseThrow(),
                        place.orElseThrow(),
                        lead.orElseThrow())))
        .map(
            done ->
                Reply.to(done)
                    .onto(id -> "/stores/waste/" + id)
                    .worded(WasteRefusals.ALL)
                    .or(problems -> overview(fields, problems, model)))
        .orElseGet(() -> overview(fields, typed.problems(), model));
  }

  private String next(
      Optional<Outcome> outcome,
      Typed typed,
      ContainerId id,
      Map<String, String> fields,
      Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/stores/waste/" + id)
                    .worded(WasteRefusals.ALL)
                    .or(problems -> page.fill(id, fields, problems, model)))
        .orElseGet(() -> page.fill(id, fields, typed.problems(), model));
  }

  private WasteDesk.Opened container(ContainerId id) {
    return desk.container(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String overview(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", new WasteWording(clock).overview(desk.overview()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "waste/waste";
  }
}
