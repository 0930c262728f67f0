package dev.lonja.web.ahead;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.place.Place;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.web.request.Typed;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Which items of the weeks table are shown; what does not name a choice that there is shows all.
 *
 * @param family by its name
 * @param supplier by number
 * @param criticality by its name
 * @param place as a form sends it; empty for all of the store together
 * @param onlyShort true if what lasts beyond the horizon is left out
 */
record AheadFilter(
    String family, String supplier, String criticality, String place, boolean onlyShort) {

  private static final String ALL = "";

  boolean isAny() {
    return onlyShort || !(family + supplier + criticality + place).isEmpty();
  }

  /** True if it is to be shown. */
  boolean takes(Subject subject, Map<ItemId, List<Supplier>> sellers) {
    return (!onlyShort || subject.cover().shortOn().isPresent())
        && subject.items().stream()
            .anyMatch(
                item ->
                    isOr(family, item.family().name())
                        && isOr(criticality, item.keeping().criticality().name())
                        && (supplier.isEmpty()
                            || sellers.getOrDefault(item.id(), List.of()).stream()
                                .anyMatch(s -> s.id().toString().equals(supplier))));
  }

  private static boolean isOr(String wanted, String is) {
    return wanted.isEmpty() || wanted.equals(is);
  }

  /** The address of the same choice over so many weeks. */
  String address(String path, int weeks) {
    UriComponentsBuilder address = UriComponentsBuilder.fromPath(path).queryParam("weeks", weeks);
    Map.of("family", family, "supplier", supplier, "criticality", criticality, "place", place)
        .entrySet()
        .stream()
        .filter(entry -> !entry.getValue().isEmpty())
        .sorted(Map.Entry.comparingByKey())
        .forEach(entry -> address.queryParam(entry.getKey(), entry.getValue()));
    return (onlyShort ? address.queryParam("short", "yes") : address).encode().toUriString();
  }

  /** The place alone that is looked at, if there is such a one. */
  Optional<Place> only(Map<Place, String> places) {
    return places.keySet().stream().filter(one -> Typed.written(one).equals(place)).findFirst();
  }

  AheadView.Filter view(
      List<Family> families, List<Supplier> suppliers, Map<Place, String> places) {
    return new AheadView.Filter(
        options("Every family", families.stream(), Family::name, Family::words, family),
        options(
            "Every supplier",
            suppliers.stream(),
            one -> one.id().toString(),
            Supplier::name,
            supplier),
        options(
            "However critical",
            Arrays.stream(Criticality.values()),
            Criticality::name,
            Criticality::words,
            criticality),
        options(
            "Every place",
            places.entrySet().stream(),
            one -> Typed.written(one.getKey()),
            Map.Entry::getValue,
            place),
        onlyShort,
        isAny());
  }

  private static <T> List<AheadView.Option> options(
      String all,
      Stream<T> values,
      Function<T, String> value,
      Function<T, String> words,
      String chosen) {
    return Stream.concat(
            Stream.of(new AheadView.Option(ALL, all, chosen.isEmpty())),
            values.map(
                one ->
                    new AheadView.Option(
                        value.apply(one), words.apply(one), value.apply(one).equals(chosen))))
        .toList();
  }
}
