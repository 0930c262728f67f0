package dev.lonja.web.setup;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.order.OrderDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.supplier.SupplierDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** On which terms a supplier delivers. */
@Controller
@RequestMapping("/setup/suppliers/{id:[0-9]{1,18}}")
class SupplierController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          SupplierDesk.Refused.class,
          Cases.<SupplierDesk.Refused, Problem>over(SupplierDesk.Refused.class)
              .when(
                  SupplierDesk.NoSuchSupplier.class,
                  none -> Problem.ofWhole("There is no such supplier."))
              .when(
                  SupplierDesk.NameTaken.class,
                  taken -> new Problem("name", "There is a supplier " + taken.name() + " already."))
              .when(
                  SupplierDesk.ChangedMeanwhile.class,
                  changed ->
                      Problem.ofWhole(
                          "Someone else changed this supplier meanwhile. Look at it again."))
              .all());

  private final SupplierDesk desk;
  private final OrderDesk orders;

  SupplierController(SupplierDesk desk, OrderDesk orders) {
    this.desk = desk;
    this.orders = orders;
  }

  @GetMapping
  String supplier(@PathVariable SupplierId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping
  String edit(
      @PathVariable SupplierId id,
      Sent sent,
      @RequestParam(defaultValue = "-1") long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<SupplierDesk.Terms> terms = new Form(fields, typed).read();
    Optional<Outcome> outcome = terms.map(t -> desk.edit(sent, id, version, t));
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/setup/reference")
                    .worded(REFUSED)
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  /** The terms as they were typed. */
  private final class Form {

    private final Map<String, String> fields;
    private final Typed typed;

    Form(Map<String, String> fields, Typed typed) {
      this.fields = fields;
      this.typed = typed;
    }

    private String field(String name) {
      return fields.getOrDefault(name, "").strip();
    }

    Optional<SupplierDesk.Terms> read() {
      Optional<String> name = typed.text("name", "The name", field("name"), Lengths.NAME);
      Optional<Integer> days =
          typed.wholeBetween(
              "leadDays", "The lead time in days", field("leadDays"), 0, Limits.SUPPLY_DAYS);
      Set<DayOfWeek> arrivals =
          Arrays.stream(DayOfWeek.values())
              .filter(day -> !field("arrives-" + SupplierView.word(day)).isEmpty())
              .collect(Collectors.toSet());
      Optional<DayOfWeek> cutOff =
          typed.choiceOrNone("cutOff", field("cutOff"), DayOfWeek.values());
      Optional<BigDecimal> freight = money("freight", "The freight", Limits.PRICE_MINOR);
      Optional<BigDecimal> from = money("freeFrom", "Free from", Limits.VALUE_MINOR);
      if (from.isPresent() && freight.isEmpty()) {
        typed.refuse("freight", "Write what the freight is that becomes free.");
      }
      List<Deliveries.Closed> closed = closed();
      return typed.all(
          () ->
              new SupplierDesk.Terms(
                  name.orElseThrow(),
                  days.orElseThrow(),
                  new Deliveries(arrivals, cutOff, closed),
                  freight,
                  from));
    }

    private Optional<BigDecimal> money(String field, String what, long most) {
      if (field(field).isEmpty()) {
        return Optional.empty();
      }
      Optional<BigDecimal> value = typed.money(field, what, field(field), most, orders.currency());
      if (value.filter(v -> v.signum() == 0).isPresent()) {
        typed.refuse(field, what + " is 0; leave it empty if there is none.");
      }
      return value;
    }

    /** A line each: a day, or a first and a last one with a space between them. */
    private List<Deliveries.Closed> closed() {
      List<Deliveries.Closed> closed = new ArrayList<>();
      for (String line : field("closed").split("\\R")) {
        String[] days = line.strip().split("\\s+");
        if (line.isBlank()) {
          continue;
        }
        Optional<LocalDate> first = typed.day("closed", days[0]);
        Optional<LocalDate> last = typed.day("closed", days[days.length - 1]);
        if (first.isPresent() && last.isPresent()) {
          add(closed, line.strip(), first.get(), last.get());
        }
      }
      return closed;
    }

    private void add(List<Deliveries.Closed> closed, String line, LocalDate first, LocalDate last) {
      if (last.isBefore(first)
          || last.isAfter(first.plusDays(Deliveries.MOST_CLOSED_DAYS))
          || closed.stream().anyMatch(c -> c.from().equals(first))) {
        typed.refuse(
            "closed",
            "\""
                + line
                + "\" is no span: write its first and last day, each first day once, at most "
                + Deliveries.MOST_CLOSED_DAYS
                + " days.");
      } else {
        closed.add(new Deliveries.Closed(first, last));
      }
    }
  }

  private String page(
      SupplierId id, Map<String, String> typed, List<Problem> problems, Model model) {
    SupplierView view =
        desk.supplier(id)
            .map(kept -> SupplierView.of(kept, typed))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", view);
    model.addAttribute("problems", problems);
    return "setup/supplier";
  }
}
