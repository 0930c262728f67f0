package dev.lonja.web.buy;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.order.DraftDesk;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.transfer.TransferDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.ArrayList;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/** The page of what to order. */
@Controller
class BuyController {

  private final BuyDesk desk;
  private final DraftDesk drafts;
  private final TransferDesk transfers;
  private final StoreClock clock;

  BuyController(BuyDesk desk, DraftDesk drafts, TransferDesk transfers, StoreClock clock) {
    this.transfers = transfers;
    this.desk = desk;
    this.drafts = drafts;
    this.clock = clock;
  }

  /** What is due, a line each. */
  @GetMapping("/buy.csv")
  ResponseEntity<byte[]> csv() {
    return BuyWording.csv(desk.wanted()).as("buy.csv");
  }

  @GetMapping("/buy")
  String all(Model model) {
    return page(Map.of(), List.of(), model);
  }

  /** What so much of an item means, as the page asks while somebody steps an amount. */
  @GetMapping("/buy/items/{itemId:[0-9]{1,18}}")
  @ResponseBody
  BuyView.Answer instead(
      @PathVariable ItemId itemId, @RequestParam(defaultValue = "") String amount) {
    Typed typed = new Typed();
    Optional<BigDecimal> much =
        typed.decimalFromZero("amount", "The amount", amount, Limits.QUANTITY);
    return desk.instead(itemId, much.orElse(BigDecimal.ZERO))
        .filter(line -> much.isPresent())
        .map(new BuyWording(clock.today())::instead)
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  /** Puts what is proposed at one supplier on an order, in the amounts that were typed. */
  @PostMapping("/buy")
  String order(
      Sent sent,
      @RequestParam(defaultValue = "") String supplier,
      @RequestParam Map<String, String> fields,
      Model model) {
    drafts.admit();
    Typed typed = new Typed();
    Optional<SupplierId> id = typed.chosen("supplier", "a supplier", supplier, SupplierId::valueOf);
    List<DraftDesk.Wish> wishes = wishes(fields, typed);
    return typed
        .all(() -> drafts.order(sent, id.orElseThrow(), wishes))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(order -> "/buy/orders/" + order)
                    .worded(OrderRefusals.ALL)
                    .or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private static List<DraftDesk.Wish> wishes(Map<String, String> fields, Typed typed) {
    List<DraftDesk.Wish> wishes = new ArrayList<>();
    fields.forEach(
        (field, text) -> {
          if (field.startsWith(BuyWording.FIELD) && !text.isBlank()) {
            Optional<ItemId> item =
                typed.chosen(
                    field, "an item", field.substring(BuyWording.FIELD.length()), ItemId::valueOf);
            Optional<BigDecimal> amount =
                typed.decimalFromZero(field, "The amount", text, Limits.QUANTITY);
            item.ifPresent(i -> amount.ifPresent(a -> wishes.add(new DraftDesk.Wish(i, a))));
          }
        });
    return wishes;
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", new BuyWording(clock.today()).view(desk.wanted()));
    model.addAttribute("fillUp", BuyWording.fillUp(transfers.refills(), transfers.names()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "buy/buy";
  }
}
