package dev.lonja.desk.offer;

import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Offers what the store knows while its name is being typed. */
@Service
@Allowed.ToSeeStore
public class OfferDesk {

  private static final int MOST = 12;

  private final LonjaStore store;

  public OfferDesk(LonjaStore store) {
    this.store = store;
  }

  /** What a field is about. */
  public enum What {
    BIN,
    SUPPLIER,
    /** Numbers of parts, stocked or not. */
    PART,
    /** Numbers of stocked fluids. */
    FLUID,
    /** Numbers of whatever else is stocked. */
    ITEM,
    /** Classes of oils and other fluids. */
    SERVICE_CLASS
  }

  /**
   * Something that may be meant.
   *
   * @param value as the field takes it
   * @param words what it is; empty if the value says it
   */
  public record Offer(String value, String words) {}

  /** A dozen at most; nothing for an empty text. */
  public List<Offer> offers(What what, String typed) {
    String begun = typed.strip().toUpperCase(Locale.ROOT);
    if (begun.isEmpty()) {
      return List.of();
    }
    return store.read(session -> all(session, what, begun).limit(MOST).toList());
  }

  private static Stream<Offer> all(Session session, What what, String begun) {
    return switch (what) {
      case BIN ->
          session.items().bins().stream()
              .map(Item.Bin::address)
              .filter(address -> address.startsWith(begun))
              .sorted()
              .map(address -> new Offer(address, ""));
      case SUPPLIER ->
          session.suppliers().all().stream()
              .map(Supplier::name)
              .filter(name -> name.toUpperCase(Locale.ROOT).contains(begun))
              .sorted()
              .map(name -> new Offer(name, ""));
      case PART -> parts(session, begun);
      case FLUID -> items(session, begun, item -> item.measure() == Measure.LITRES);
      case ITEM -> items(session, begun, item -> item.measure() != Measure.LITRES);
      case SERVICE_CLASS ->
          session.fluidReference().classes().all().stream()
              .map(ServiceClass::text)
              .filter(name -> name.toUpperCase(Locale.ROOT).contains(begun))
              .map(name -> new Offer(name, ""));
    };
  }

  private static Stream<Offer> parts(Session session, String begun) {
    return PartKey.of(begun).stream()
        .flatMap(key -> session.parts().byKeyPrefix(key, MOST).stream())
        .map(part -> new Offer(part.make() + " " + part.number(), words(part)));
  }

  private static String words(Part part) {
    return part.family().map(family -> family.words()).orElse("");
  }

  /** By number, or by what stands on the label. */
  private static Stream<Offer> items(Session session, String begun, Predicate<Item> which) {
    Optional<PartKey> key = PartKey.of(begun);
    List<Item> all =
        session.items().all().stream()
            .filter(which)
            .filter(item -> item.keeping().retiredOn().isEmpty())
            .toList();
    return all.stream()
        .filter(
            item ->
                key.filter(k -> item.key().text().startsWith(k.text())).isPresent()
                    || item.description().toUpperCase(Locale.ROOT).contains(begun))
        .map(item -> new Offer(name(all, item), item.description()));
  }

  /** Its number, with the make before it where several makes use it. */
  private static String name(List<Item> all, Item item) {
    boolean shared = all.stream().filter(other -> other.key().equals(item.key())).count() > 1;
    return shared ? item.make() + " " + item.number() : item.number();
  }
}
