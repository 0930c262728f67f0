package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.Labels;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Window;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.FreeStock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** All products with their labels read, their packs and what is free of each, as of a day. */
public final class FluidBook {

  private final FluidReference reference;
  private final Climate climate;
  private final Map<ProductId, ProductClaims> claims = new HashMap<>();
  private final Map<ItemId, Product> byItem = new HashMap<>();
  private final List<ProductClaims> inOrder;
  private final Map<ProductId, List<Item>> packs;
  private final Map<ItemId, Quantity> freeByItem;
  private final Optional<Place> place;

  private FluidBook(Session session, FreeStock stock, Optional<Place> place) {
    this.place = place;
    Labels labels = session.labels();
    this.reference = labels.reference();
    this.climate = session.climate().inForce();
    this.inOrder = labels.products();
    inOrder.forEach(read -> claims.put(read.product().id(), read));
    List<Item> fluids = session.items().ofFamily(Family.FLUID);
    fluids.forEach(item -> item.product().ifPresent(product -> byItem.put(item.id(), product)));
    this.packs =
        fluids.stream()
            .filter(item -> item.keeping().retiredOn().isEmpty())
            .sorted(Comparator.comparing((Item item) -> item.litres().orElseThrow()))
            .collect(Collectors.groupingBy(item -> item.product().orElseThrow().id()));
    this.freeByItem =
        stock.of(packs.values().stream().flatMap(List::stream).map(Item::id).toList());
  }

  public static FluidBook load(Session session, LocalDate today) {
    return new FluidBook(session, ids -> session.ledger().free(today, ids), Optional.empty());
  }

  /**
   * The same with what is free at one place.
   *
   * @param stock what is free there
   */
  public static FluidBook at(Session session, Place place, FreeStock stock) {
    return new FluidBook(session, stock, Optional.of(place));
  }

  public FluidReference reference() {
    return reference;
  }

  public Climate climate() {
    return climate;
  }

  /** All products in order of make and name. */
  public List<ProductClaims> products() {
    return inOrder;
  }

  public List<ProductClaims> ofKind(FluidKind kind) {
    return inOrder.stream().filter(read -> read.product().kind() == kind).toList();
  }

  /** A product that is known; an unknown one is broken data and throws. */
  public ProductClaims claims(ProductId productId) {
    return Objects.requireNonNull(claims.get(productId), "product " + productId);
  }

  public Optional<ProductClaims> byId(ProductId productId) {
    return Optional.ofNullable(claims.get(productId));
  }

  /** The fluid in an item, one that is not kept any more included; empty for a part. */
  public Optional<Product> productOf(ItemId item) {
    return Optional.ofNullable(byItem.get(item));
  }

  /** The items that are packs of a product, the smallest first. */
  public List<Item> packs(ProductId productId) {
    return packs.getOrDefault(productId, List.of());
  }

  /** What may be issued of an item and lies on no tray. */
  public Quantity freeOf(Item item) {
    return freeByItem.getOrDefault(item.id(), Quantity.zero(Measure.LITRES));
  }

  /** The bin where something of an item is looked for first; empty if that is at another place. */
  public Optional<String> binOf(Item item) {
    Item.Bin home = item.homeBin();
    return place.isEmpty() || place.get().equals(home.place())
        ? Optional.of(home.address())
        : Optional.empty();
  }

  /** What is free of a product in all its packs. */
  public Quantity free(ProductId productId) {
    return packs(productId).stream()
        .map(this::freeOf)
        .reduce(Quantity.zero(Measure.LITRES), Quantity::plus);
  }

  public boolean isOnShelf(Product product) {
    return free(product.id()).isPositive();
  }

  /** Judges for the store's whole year. */
  public SpecJudge judge(Spec spec) {
    return judge(spec, Window.year(climate));
  }

  public SpecJudge judge(Spec spec, Window window) {
    return new SpecJudge(spec, window, reference);
  }

  /** A product's verdict for a spec over the whole year. */
  public Suitability verdict(Spec spec, ProductId productId) {
    return judge(spec).judge(claims(productId));
  }
}
