package dev.lonja.web.buy;

import dev.lonja.core.order.InvoiceId;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.order.InvoiceDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.HashMap;
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

/** What a supplier charged for an order. */
@Controller
@RequestMapping("/buy/orders/{id:[0-9]{1,18}}/invoices")
class InvoiceController {

  private final InvoiceDesk desk;
  private final StoreClock clock;

  InvoiceController(InvoiceDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String all(@PathVariable OrderId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping
  String enter(
      @PathVariable OrderId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    InvoiceDesk.Sheet sheet = sheet(id);
    Typed typed = new Typed();
    Optional<String> number =
        typed.text(
            "number", "The invoice's number", fields.getOrDefault("number", ""), Lengths.SHORT);
    Optional<LocalDate> dated = typed.day("dated", fields.getOrDefault("dated", ""));
    Optional<BigDecimal> freight = amount(typed, sheet, "freight", "The freight", fields);
    Map<Long, BigDecimal> charged = new HashMap<>();
    sheet.delivered().stream()
        .map(one -> one.movementId())
        .forEach(
            movement ->
                amount(typed, sheet, InvoiceWording.FIELD + movement, "What is charged", fields)
                    .ifPresent(amount -> charged.put(movement, amount)));
    return next(
        typed.all(
            () ->
                desk.enter(
                    sent,
                    id,
                    new InvoiceDesk.Entry(
                        number.orElseThrow(),
                        dated.orElseThrow(),
                        charged,
                        freight.orElse(BigDecimal.ZERO)))),
        typed,
        id,
        fields,
        model);
  }

  /** Empty if nothing is written there, or if it is refused. */
  private static Optional<BigDecimal> amount(
      Typed typed, InvoiceDesk.Sheet sheet, String field, String what, Map<String, String> fields) {
    String text = fields.getOrDefault(field, "").strip();
    return text.isEmpty()
        ? Optional.empty()
        : typed.money(field, what, text, Limits.VALUE_MINOR, sheet.currency());
  }

  @PostMapping("/{invoice:[0-9]{1,18}}/withdraw")
  String withdraw(
      @PathVariable OrderId id,
      @PathVariable InvoiceId invoice,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<String> why =
        typed.text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON);
    return next(
        why.map(reason -> desk.withdraw(sent, id, invoice, reason)), typed, id, fields, model);
  }

  private String next(
      Optional<Outcome> outcome, Typed typed, OrderId id, Map<String, String> fields, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/buy/orders/" + id + "/invoices")
                    .worded(OrderRefusals.ALL)
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  private InvoiceDesk.Sheet sheet(OrderId id) {
    return desk.sheet(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String page(OrderId id, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", new InvoiceWording(sheet(id), clock.today()).page());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "buy/invoices";
  }
}
