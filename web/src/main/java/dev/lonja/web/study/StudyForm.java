package dev.lonja.web.study;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.choice.StudyDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Currency;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The form of a new study. */
final class StudyForm {

  private static final int LONGEST_TITLE = Lengths.NAME;
  private static final String FORBID = "forbid";
  private static final String KEEP = "keep";

  static final RefusalWording REFUSED =
      RefusalWording.of(
          StudyDesk.Refused.class,
          refused ->
              Problem.ofWhole(
                  switch (refused) {
                    case NOTHING_PRICED ->
                        "No fluid with a known price is stocked. Add packs first.";
                    case NOTHING_COVERS ->
                        "Nothing that is left covers any spec in use. Forbid less, or allow a lower"
                            + " verdict.";
                    case NOT_ON_FILE -> "That study is not on file.";
                    case NOTHING_TO_CHANGE -> "The study changes nothing.";
                  }));

  private StudyForm() {}

  /** Empty, with the problems noted, if it cannot be read. */
  static Optional<StudyDesk.Wish> read(
      Map<String, String> fields, List<Product> products, Currency currency, Typed typed) {
    Optional<String> title =
        typed.text("title", "The title", fields.getOrDefault("title", ""), LONGEST_TITLE);
    Optional<Level> allowed =
        Arrays.stream(Level.values())
            .filter(level -> level != Level.NO)
            .filter(level -> level.name().equals(fields.getOrDefault("allowed", "")))
            .findFirst();
    if (allowed.isEmpty()) {
      typed.refuse("allowed", "Choose which verdicts count.");
    }
    Optional<BigDecimal> holding = holding(fields.getOrDefault("holding", ""), currency, typed);
    Set<ProductId> forbidden = new LinkedHashSet<>();
    Set<ProductId> kept = new LinkedHashSet<>();
    for (Product product : products) {
      switch (fields.getOrDefault("product-" + product.id(), "")) {
        case FORBID -> forbidden.add(product.id());
        case KEEP -> kept.add(product.id());
        case "" -> {}
        default -> typed.refuse("product-" + product.id(), "Choose free, must or must not.");
      }
    }
    return typed.all(
        () ->
            new StudyDesk.Wish(
                title.orElseThrow(),
                allowed.orElseThrow(),
                holding.orElseThrow(),
                forbidden,
                kept));
  }

  private static Optional<BigDecimal> holding(String text, Currency currency, Typed typed) {
    return typed.money(
        "holding", "The yearly cost of a product", text, Limits.HOLDING_MINOR, currency);
  }
}
