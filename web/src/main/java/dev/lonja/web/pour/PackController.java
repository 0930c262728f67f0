package dev.lonja.web.pour;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.choice.PackDesk;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Which pack to buy or to open. */
@Controller
class PackController {

  private static final int MOST_LITRES = 5_000;

  private final PackDesk desk;
  private final AheadDesk ahead;
  private final StoreClock clock;

  PackController(PackDesk desk, AheadDesk ahead, StoreClock clock) {
    this.ahead = ahead;
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/oils/packs")
  String packs(
      @RequestParam(defaultValue = "") String product,
      @RequestParam(defaultValue = "") String litres,
      @RequestParam(defaultValue = "") String by,
      Model model) {
    Typed typed = new Typed();
    List<Product> products = desk.products();
    Optional<ProductId> chosen =
        products.stream()
            .map(Product::id)
            .filter(id -> String.valueOf(id).equals(product))
            .findFirst();
    if (chosen.isEmpty() && !product.isEmpty()) {
      typed.refuse("product", "There is no product \"" + product + "\". Choose one.");
    }
    Optional<PackDesk.Need> need = need(litres, by, typed);
    Optional<PackDesk.Advice> advice =
        chosen.flatMap(id -> desk.advice(id, typed.problems().isEmpty() ? need : Optional.empty()));
    PackView.Asked asked = new PackView.Asked(product, litres, by);
    model.addAttribute(
        "view",
        PackView.of(
            products,
            asked,
            advice,
            need.filter(n -> typed.problems().isEmpty()),
            product.isEmpty() && litres.isEmpty()
                ? Optional.of(ahead.all(AheadDesk.WEEKS))
                : Optional.empty(),
            clock.today()));
    model.addAttribute("problems", typed.problems());
    return "pour/packs";
  }

  private Optional<PackDesk.Need> need(String litres, String by, Typed typed) {
    Optional<LocalDate> day = by.isBlank() ? Optional.of(clock.today()) : typed.day("by", by);
    Optional<Volume> volume =
        litres.isBlank()
            ? Optional.empty()
            : typed.litres("litres", "The need in litres", litres, MOST_LITRES);
    return volume.flatMap(v -> day.map(d -> new PackDesk.Need(v, d)));
  }
}
