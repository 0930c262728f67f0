package dev.lonja.web.transfer;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.transfer.ArrivalDesk;
import dev.lonja.desk.transfer.TransferDesk;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
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

/** Things that go from one place of the store to another. */
@Controller
@RequestMapping("/stores/transfers")
class TransferController {

  private static final String PATH = "/stores/transfers";
  private static final Pattern NUMBER = Pattern.compile("[1-9][0-9]{0,17}");
  private static final int FINE = 3;

  private final TransferDesk desk;
  private final ArrivalDesk arrivals;
  private final TransferWording wording;
  private final PdfRenderer pdf;

  TransferController(TransferDesk desk, ArrivalDesk arrivals, StoreClock clock, PdfRenderer pdf) {
    this.pdf = pdf;
    this.desk = desk;
    this.arrivals = arrivals;
    this.wording = new TransferWording(clock);
  }

  @GetMapping
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  /** Asks for what is ticked of a proposal, or for one thing by its number. */
  @PostMapping
  String ask(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<Place> from = typed.place("from", fields.getOrDefault("from", ""));
    Optional<Place> to = typed.place("to", fields.getOrDefault("to", ""));
    List<TransferDesk.Amount> wanted = amounts("ask-", fields, typed);
    String code = fields.getOrDefault("code", "").strip();
    if (!code.isEmpty() || wanted.isEmpty()) {
      named(code, fields, typed).ifPresent(wanted::add);
    }
    return typed
        .all(() -> desk.ask(sent, from.orElseThrow(), to.orElseThrow(), wanted))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(id -> PATH + "/" + id)
                    .worded(TransferRefusals.at("ask-"))
                    .or(problems -> list(fields, problems, model)))
        .orElseGet(() -> list(fields, typed.problems(), model));
  }

  private Optional<TransferDesk.Amount> named(
      String code, Map<String, String> fields, Typed typed) {
    List<Item> found = code.isEmpty() ? List.of() : desk.named(code);
    if (found.size() != 1) {
      typed.refuse(
          "code",
          code.isEmpty()
              ? "Write the number of what is asked for."
              : "\"" + code + "\" is the number of " + found.size() + " things of this store.");
      return Optional.empty();
    }
    return amount("amount", "The amount", fields, typed)
        .map(amount -> new TransferDesk.Amount(found.get(0).id(), amount));
  }

  @GetMapping("/{id:[0-9]{1,18}}")
  String one(@PathVariable TransferId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/pick")
  String pick(
      @PathVariable TransferId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    List<TransferDesk.Amount> picked = amounts("picked-", fields, typed);
    return next(id, "picked-", typed.all(() -> desk.pick(sent, id, picked)), typed, fields, model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/pick-all")
  String pickAll(@PathVariable TransferId id, Sent sent, Model model) {
    return next(id, "picked-", Optional.of(desk.pickAll(sent, id)), new Typed(), Map.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/scan")
  String scan(
      @PathVariable TransferId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    String code = fields.getOrDefault("code", "").strip();
    return next(id, "picked-", Optional.of(desk.scan(sent, id, code)), typed, fields, model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/send")
  String send(@PathVariable TransferId id, Sent sent, Model model) {
    return next(id, "picked-", Optional.of(desk.send(sent, id)), new Typed(), Map.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/drop")
  String drop(@PathVariable TransferId id, Sent sent, Model model) {
    return next(id, "picked-", Optional.of(desk.drop(sent, id)), new Typed(), Map.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/receive")
  String receive(
      @PathVariable TransferId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    arrivals.admit();
    Typed typed = new Typed();
    List<ArrivalDesk.Came> came = new ArrayList<>();
    for (TransferDesk.Amount one : amounts("came-", fields, typed)) {
      if (one.amount().signum() != 0) {
        String bin = fields.getOrDefault("bin-" + one.item(), "").strip();
        if (bin.isEmpty()) {
          typed.refuse("bin-" + one.item(), "Write the bin that it is put into.");
        }
        came.add(new ArrivalDesk.Came(one.item(), one.amount(), bin.toUpperCase(Locale.ROOT)));
      }
    }
    return next(
        id, "came-", typed.all(() -> arrivals.receive(sent, id, came)), typed, fields, model);
  }

  /** To go with the boxes: what is in them, where it lay, and where to sign for it. */
  @GetMapping("/{id:[0-9]{1,18}}/sheet.pdf")
  ResponseEntity<byte[]> sheet(@PathVariable TransferId id) {
    TransferView.One one =
        desk.file(id)
            .map(wording::one)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return pdf.answer("transfer", "transfer-" + one.number() + ".pdf", Map.of("sheet", one));
  }

  @PostMapping("/{id:[0-9]{1,18}}/settle")
  String settle(
      @PathVariable TransferId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    arrivals.admit();
    Typed typed = new Typed();
    Optional<ArrivalDesk.Fate> fate =
        typed.choice(
            "fate", "stayed or lost", fields.getOrDefault("fate", ""), ArrivalDesk.Fate.class);
    String item = fields.getOrDefault("item", "");
    if (!NUMBER.matcher(item).matches()) {
      typed.refuse("fate", "\"" + item + "\" is no line of it. Load the page again.");
    }
    return next(
        id,
        "came-",
        typed.all(
            () ->
                arrivals.settle(
                    sent,
                    id,
                    ItemId.valueOf(item),
                    fate.orElseThrow(),
                    PersonProblems.signature(fields))),
        typed,
        fields,
        model);
  }

  /** The amounts of a form, each in a field of its item; an empty one is left out. */
  private List<TransferDesk.Amount> amounts(
      String prefix, Map<String, String> fields, Typed typed) {
    List<TransferDesk.Amount> amounts = new ArrayList<>();
    for (String field : fields.keySet()) {
      String id = field.startsWith(prefix) ? field.substring(prefix.length()) : "";
      if (NUMBER.matcher(id).matches() && !fields.get(field).isBlank()) {
        amount(field, "The amount", fields, typed)
            .ifPresent(amount -> amounts.add(new TransferDesk.Amount(ItemId.valueOf(id), amount)));
      }
    }
    return amounts;
  }

  private static Optional<BigDecimal> amount(
      String field, String what, Map<String, String> fields, Typed typed) {
    return typed.decimalBetween(
        field,
        what,
        fields.getOrDefault(field, ""),
        BigDecimal.ZERO,
        BigDecimal.valueOf(Limits.QUANTITY),
        FINE);
  }

  private String next(
      TransferId id,
      String amount,
      Optional<Outcome> done,
      Typed typed,
      Map<String, String> fields,
      Model model) {
    return done.map(
            outcome ->
                Reply.to(outcome)
                    .onto(PATH + "/" + id)
                    .worded(TransferRefusals.at(amount))
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  private String page(
      TransferId id, Map<String, String> typed, List<Problem> problems, Model model) {
    TransferDesk.File file =
        desk.file(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", wording.one(file));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "transfer/transfer";
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    TransferDesk.Overview overview = desk.overview();
    model.addAttribute("view", wording.view(overview, desk.items(overview)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "transfer/transfers";
  }
}
