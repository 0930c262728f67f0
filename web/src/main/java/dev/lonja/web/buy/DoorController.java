package dev.lonja.web.buy;

import dev.lonja.core.order.Claim;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.order.OrderLineId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.scan.Gs1;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.ledger.Receiving;
import dev.lonja.desk.order.DoorDesk;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** At the door: what is awaited, and what came of it. */
@Controller
class DoorController {

  private static final String LINE = "/buy/orders/{id:[0-9]{1,18}}/lines/{line:[0-9]{1,18}}";

  private final DoorDesk desk;
  private final StoreClock clock;

  DoorController(DoorDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /** All that is awaited, or what a scanned code may be; of one line its form at once. */
  @GetMapping("/buy/door")
  String door(@RequestParam(defaultValue = "") String code, Model model) {
    String scanned = code.strip();
    List<DoorDesk.Awaited> awaited =
        scanned.isEmpty() ? desk.awaited() : desk.awaited(codes(scanned));
    if (!scanned.isEmpty() && awaited.size() == 1) {
      DoorDesk.Awaited one = awaited.get(0);
      return form(one.order().id(), one.line().id(), read(scanned), Form.FRESH, model);
    }
    model.addAttribute(
        "view",
        new DoorWording(clock.today())
            .all(
                scanned,
                awaited,
                scanned.isEmpty() || !awaited.isEmpty()
                    ? List.of()
                    : desk.inPlaceOf(codes(scanned))));
    return "buy/door";
  }

  private Optional<Gs1> read(String scanned) {
    return Gs1.read(scanned, clock.today());
  }

  private List<String> codes(String scanned) {
    return read(scanned).map(Gs1::codes).filter(codes -> !codes.isEmpty()).orElse(List.of(scanned));
  }

  @GetMapping(LINE)
  String line(
      @PathVariable OrderId id,
      @PathVariable OrderLineId line,
      @RequestParam(defaultValue = "") String instead,
      Model model) {
    model.addAttribute("instead", instead.strip());
    return form(id, line, Optional.empty(), Form.FRESH, model);
  }

  /** What was typed into the form, and what was wrong with it. */
  private record Form(Map<String, String> typed, List<Problem> problems) {
    static final Form FRESH = new Form(Map.of(), List.of());
  }

  private String form(OrderId id, OrderLineId line, Optional<Gs1> scanned, Form form, Model model) {
    model.addAttribute(
        "view",
        desk.sample(id, line, scanned.flatMap(Gs1::count))
            .map(sample -> new DoorWording(clock.today()).line(sample, scanned))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", form.typed());
    model.addAttribute("problems", form.problems());
    model.addAttribute("sent", form != Form.FRESH);
    return "buy/receive";
  }

  @PostMapping(LINE)
  String receive(
      @PathVariable OrderId id,
      @PathVariable OrderLineId line,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Measure measure =
        desk.sample(id, line, Optional.empty())
            .map(sample -> sample.awaited().line().item().measure())
            .orElse(Measure.PIECES);
    Typed typed = new Typed();
    Came came = new Came(fields, typed, measure);
    Optional<DoorDesk.Came> read = came.read();
    return read.map(
            what ->
                Reply.to(desk.receive(sent, id, line, what))
                    .onto(order -> "/buy/orders/" + order)
                    .worded(OrderRefusals.ALL)
                    .or(
                        problems ->
                            form(id, line, Optional.empty(), new Form(fields, problems), model)))
        .orElseGet(
            () -> form(id, line, Optional.empty(), new Form(fields, typed.problems()), model));
  }

  /** What came, as it was typed. */
  private record Came(Map<String, String> fields, Typed typed, Measure measure) {

    private String field(String name) {
      return fields.getOrDefault(name, "").strip();
    }

    Optional<DoorDesk.Came> read() {
      Optional<BigDecimal> good = amountOrNone("quantity", "What is good");
      Optional<BigDecimal> damaged = amountOrNone("damaged", "What is damaged");
      Optional<String> lot = orNone("lot", "The lot", Lengths.SHORT);
      Optional<LocalDate> expires =
          field("expires").isEmpty() ? Optional.empty() : typed.day("expires", field("expires"));
      Optional<BigDecimal> cost =
          typed.decimalFromZero("cost", "The cost", field("cost"), Limits.PRICE_MINOR);
      Optional<String> note = orNone("note", "The delivery note", Lengths.BARCODE);
      Optional<Temperature> warmth = typed.warmth("warmth", field("warmth"));
      Optional<List<DoorDesk.Wrong>> claims = claims();
      Optional<Optional<DoorDesk.Instead>> instead = instead();
      return typed.all(
          () ->
              new DoorDesk.Came(
                  damaged.orElseThrow(),
                  new Receiving.Receipt(
                      good.orElseThrow(),
                      lot.orElseThrow(),
                      field("bin"),
                      expires,
                      cost.orElseThrow(),
                      note.orElseThrow(),
                      warmth,
                      new Receiving.Answers(
                          "yes".equals(field("apart")), "yes".equals(field("aside")))),
                  "yes".equals(field("more")),
                  claims.orElseThrow(),
                  instead.orElseThrow()));
    }

    private Optional<Optional<DoorDesk.Instead>> instead() {
      return field("instead").isEmpty()
          ? Optional.of(Optional.empty())
          : typed
              .text("instead", "The other number", field("instead"), Lengths.BARCODE)
              .map(code -> Optional.of(new DoorDesk.Instead(code, "yes".equals(field("keep")))));
    }

    private Optional<BigDecimal> amountOrNone(String name, String what) {
      if (field(name).isEmpty()) {
        return Optional.of(BigDecimal.ZERO);
      }
      Optional<BigDecimal> amount = typed.amount(name, what, field(name), measure);
      if (amount.filter(a -> a.signum() < 0).isPresent()) {
        typed.refuse(name, what + " is " + field(name) + "; allowed is 0 or more.");
        return Optional.empty();
      }
      return amount;
    }

    private Optional<String> orNone(String name, String what, int longest) {
      return field(name).isEmpty() ? Optional.of("") : typed.text(name, what, field(name), longest);
    }

    private boolean isClaimable(BigDecimal amount) {
      boolean claimable =
          amount.signum() > 0 && amount.compareTo(BigDecimal.valueOf(Limits.QUANTITY)) <= 0;
      if (!claimable) {
        typed.refuse(
            "wrongAmount",
            "How many are wrong is "
                + field("wrongAmount")
                + "; allowed is more than 0, up to "
                + Limits.QUANTITY
                + ".");
      }
      return claimable;
    }

    /** What is wrong with it beside damage; nothing if nothing was chosen. */
    private Optional<List<DoorDesk.Wrong>> claims() {
      if (field("wrong").isEmpty()) {
        if (!field("wrongAmount").isEmpty() || !field("wrongWords").isEmpty()) {
          typed.refuse("wrong", "Choose what is wrong: came short, too many or the wrong thing.");
        }
        return Optional.of(List.of());
      }
      Optional<Claim.Kind> kind =
          typed.choice("wrong", "what is wrong", field("wrong"), Claim.Kind.class);
      Optional<BigDecimal> amount =
          typed
              .amount("wrongAmount", "How many are wrong", field("wrongAmount"), measure)
              .filter(this::isClaimable);
      Optional<String> words = orNone("wrongWords", "What was found", Lengths.REASON);
      return kind.flatMap(
          k -> amount.flatMap(a -> words.map(w -> List.of(new DoorDesk.Wrong(k, a, w)))));
    }
  }
}
