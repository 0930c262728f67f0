package dev.lonja.web.buy;

import dev.lonja.core.order.Claim;
import dev.lonja.core.order.ClaimId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.order.DraftDesk;
import dev.lonja.desk.order.FollowUpDesk;
import dev.lonja.desk.order.OrderDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What is ordered: drafts, what is on its way, and what came of it. */
@Controller
@RequestMapping("/buy/orders")
class OrderController {

  private static final int DECIMALS = 6;
  private static final String ONE = "/{id:[0-9]{1,18}}";
  private static final String LINE = ONE + "/lines/{line:[0-9]{1,18}}";

  private final OrderDesk desk;
  private final DraftDesk drafts;
  private final FollowUpDesk followUp;
  private final StoreClock clock;

  OrderController(OrderDesk desk, DraftDesk drafts, FollowUpDesk followUp, StoreClock clock) {
    this.desk = desk;
    this.drafts = drafts;
    this.followUp = followUp;
    this.clock = clock;
  }

  @GetMapping
  String all(Model model) {
    return all(Map.of(), List.of(), model);
  }

  private String all(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", wording().all(desk.board()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "buy/orders";
  }

  /** Hands out what waits and takes in what suppliers' systems answered. */
  @PostMapping("/answers")
  String answers() {
    followUp.lookForAnswers();
    return "redirect:/buy/orders";
  }

  @GetMapping(ONE)
  String one(@PathVariable OrderId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  private String page(OrderId id, Map<String, String> typed, List<Problem> problems, Model model) {
    OrderView view =
        desk.file(id)
            .map(wording()::one)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", view);
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "buy/order";
  }

  private OrderWording wording() {
    return new OrderWording(clock, desk.currency());
  }

  @PostMapping(ONE + "/lines")
  String add(
      @PathVariable OrderId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    drafts.admit();
    Typed typed = new Typed();
    Optional<String> code =
        typed.text("code", "The number", fields.getOrDefault("code", ""), Lengths.BARCODE);
    Optional<BigDecimal> amount =
        typed.decimalUpTo(
            "much", "The amount", fields.getOrDefault("much", ""), Limits.QUANTITY, DECIMALS);
    return next(
        typed.all(() -> drafts.addLine(sent, id, code.orElseThrow(), amount.orElseThrow())),
        typed,
        id,
        fields,
        model);
  }

  @PostMapping(LINE + "/amount")
  String change(
      @PathVariable OrderId id,
      @PathVariable OrderLineId line,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    drafts.admit();
    Typed typed = new Typed();
    String field =
        fields.keySet().stream()
            .filter(name -> name.startsWith(BuyWording.FIELD))
            .findFirst()
            .orElse(BuyWording.FIELD);
    Optional<BigDecimal> amount =
        typed.decimalFromZero(field, "The amount", fields.getOrDefault(field, ""), Limits.QUANTITY);
    return next(amount.map(a -> drafts.change(sent, id, line, a)), typed, id, fields, model);
  }

  @PostMapping(ONE + "/note")
  String note(
      @PathVariable OrderId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    drafts.admit();
    Typed typed = new Typed();
    String text = fields.getOrDefault("note", "").strip();
    Optional<String> note =
        text.isEmpty() ? Optional.of("") : typed.text("note", "The note", text, Lengths.REASON);
    return next(note.map(n -> drafts.note(sent, id, n)), typed, id, fields, model);
  }

  @PostMapping(ONE + "/drop")
  String drop(
      @PathVariable OrderId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    drafts.admit();
    return Reply.to(drafts.drop(sent, id))
        .onto("/buy/orders")
        .worded(OrderRefusals.ALL)
        .or(problems -> page(id, fields, problems, model));
  }

  @PostMapping(ONE + "/send")
  String send(
      @PathVariable OrderId id,
      Sent sent,
      @RequestParam(defaultValue = "-1") long version,
      @RequestParam(defaultValue = "") String secondPerson,
      @RequestParam(defaultValue = "") String pin,
      @RequestParam Map<String, String> fields,
      Model model) {
    drafts.admit();
    return next(
        Optional.of(drafts.send(sent, id, version, new SecondPerson.Signature(secondPerson, pin))),
        new Typed(),
        id,
        fields,
        model);
  }

  @PostMapping(LINE + "/promise")
  String promise(
      @PathVariable OrderId id,
      @PathVariable OrderLineId line,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    followUp.admit();
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.day("day", fields.getOrDefault("day", ""));
    String asked = fields.getOrDefault("price", "").strip();
    Optional<BigDecimal> price =
        asked.isEmpty()
            ? Optional.empty()
            : typed.money("price", "The price", asked, Limits.PRICE_MINOR, desk.currency());
    return next(
        typed.all(() -> followUp.promise(sent, id, line, day.orElseThrow(), price)),
        typed,
        id,
        fields,
        model);
  }

  @PostMapping(LINE + "/give-up")
  String giveUp(
      @PathVariable OrderId id,
      @PathVariable OrderLineId line,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    followUp.admit();
    Typed typed = new Typed();
    Optional<BigDecimal> amount =
        typed.decimalUpTo(
            "amount", "The amount", fields.getOrDefault("amount", ""), Limits.QUANTITY, DECIMALS);
    Optional<String> why = why(typed, fields);
    return next(
        typed.all(() -> followUp.giveUp(sent, id, line, amount.orElseThrow(), why.orElseThrow())),
        typed,
        id,
        fields,
        model);
  }

  private static Optional<String> why(Typed typed, Map<String, String> fields) {
    return typed.text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON);
  }

  @PostMapping(ONE + "/cancel")
  String cancel(
      @PathVariable OrderId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    followUp.admit();
    Typed typed = new Typed();
    return next(
        why(typed, fields).map(why -> followUp.cancel(sent, id, why)), typed, id, fields, model);
  }

  @PostMapping("/claims/{claim:[0-9]{1,18}}")
  String settle(
      @PathVariable ClaimId claim,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    followUp.admit();
    Typed typed = new Typed();
    Optional<Claim.Outcome> outcome =
        typed.choice(
            "outcome", "how it ends", fields.getOrDefault("outcome", ""), Claim.Outcome.class);
    String text = fields.getOrDefault("why", "").strip();
    Optional<String> why =
        text.isEmpty() ? Optional.of("") : typed.text("why", "The note", text, Lengths.REASON);
    return typed
        .all(() -> followUp.settle(sent, claim, outcome.orElseThrow(), why.orElseThrow()))
        .map(
            done ->
                Reply.to(done)
                    .onto("/buy/orders")
                    .worded(OrderRefusals.ALL)
                    .or(problems -> all(fields, problems, model)))
        .orElseGet(() -> all(fields, typed.problems(), model));
  }

  private String next(
      Optional<Outcome> outcome, Typed typed, OrderId id, Map<String, String> fields, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/buy/orders/" + id)
                    .worded(OrderRefusals.ALL)
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }
}
