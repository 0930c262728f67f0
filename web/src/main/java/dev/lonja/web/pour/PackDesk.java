package dev.lonja.web.pour;

import dev.lonja.core.choice.FutureUse;
import dev.lonja.core.choice.Pack;
import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.choice.PackOffers;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import dev.lonja.web.spec.SpecView;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers which packs of a product to buy, and which to take off the shelf. */
@Service
@Allowed.ToSeeStore
class PackDesk {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(5_000);

  private final LonjaStore store;
  private final StoreClock clock;

  PackDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The page; what is wrong with what was asked is in {@code typed}. */
  PackView view(String product, String litres, String by, Typed typed) {
    return store.read(session -> view(session, product, litres, by, typed));
  }

  private PackView view(Session session, String product, String litres, String by, Typed typed) {
    FluidBook book = FluidBook.load(session, clock.today());
    Optional<ProductClaims> read =
        book.products().stream()
            .filter(p -> String.valueOf(p.product().id()).equals(product))
            .findFirst();
    if (read.isEmpty() && !product.isEmpty()) {
      typed.refuse("product", "There is no product \"" + product + "\". Choose one.");
    }
    Optional<Volume> need =
        litres.isBlank()
            ? Optional.empty()
            : typed
                .decimalUpTo("litres", "The need in litres", litres, MOST_LITRES)
                .map(Volume::ofLitres);
    LocalDate day = by.isBlank() ? clock.today() : typed.day("by", by).orElse(clock.today());
    List<Item> packs = read.map(r -> book.packs(r.product().id())).orElse(List.of());
    PackOffers offers = new PackOffers(session, clock.today());
    boolean asked = need.isPresent() && typed.problems().isEmpty() && read.isPresent();
    FutureUse use = asked ? offers.usedAfter(packs, day) : FutureUse.NONE;
    return new PackView(
        book.products().stream()
            .map(p -> new SpecView.Choice(String.valueOf(p.product().id()), p.product().display()))
            .toList(),
        product,
        litres,
        by,
        read.map(r -> r.product().display()).orElse(""),
        read.map(r -> places(session, book, r)).orElse(List.of()),
        asked ? advice(need.get(), offers.forSale(packs), use, day) : Optional.empty(),
        asked ? advice(need.get(), offers.onTheShelf(book, packs), use, day) : Optional.empty(),
        asked ? "Nobody is known to sell packs that cover it and have room here." : "",
        asked ? "What is free on the shelf does not cover it." : "");
  }

  private Optional<PackView.Advice> advice(
      Volume need, List<Pack> packs, FutureUse use, LocalDate day) {
    return PackChoice.of(need, packs, use)
        .map(choice -> PackWording.advice(choice, day, clock.today()));
  }

  /** What to know before ordering: where the product may go, and where it is in use wrongly. */
  private List<String> places(Session session, FluidBook book, ProductClaims read) {
    List<String> lines = new ArrayList<>();
    int free = 0;
    for (SpecUse use : SpecUse.all(session, FleetPicture.load(session, clock.today()))) {
      Suitability verdict = book.verdict(use.spec(), read.product().id());
      free += verdict.overall().isFree() ? 1 : 0;
      boolean inUse =
          use.preferred()
              .flatMap(Item::product)
              .filter(p -> p.id().equals(read.product().id()))
              .isPresent();
      if (inUse && !verdict.overall().isFree()) {
        lines.add(
            "In use in "
                + use.display()
                + ", but "
                + String.join("; ", ReasonWording.against(verdict))
                + ".");
      }
    }
    lines.add(0, "May go into " + Words.count(free, "place", "places") + " of this fleet.");
    return lines;
  }
}
