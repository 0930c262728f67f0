package dev.lonja.web.find;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.find.FindDesk;
import dev.lonja.desk.find.Found;
import dev.lonja.desk.find.HitKind;
import dev.lonja.desk.find.Hits;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.List;
import java.util.Optional;

/** What was found, in words, and where a single sure hit leads. */
final class FindWording {

  private static final int LONGEST = 200;

  private FindWording() {}

  /** The answer to what was typed. */
  static FindView answer(FindDesk desk, String typed) {
    String query = typed.strip();
    if (query.isEmpty()) {
      return FindView.answer("", "");
    }
    if (query.length() > LONGEST) {
      return FindView.answer(
          query.substring(0, LONGEST),
          "That is " + query.length() + " characters long; a number has " + LONGEST + " at most.");
    }
    return view(query).apply(desk.find(query));
  }

  private static Cases<Found, FindView> view(String query) {
    return Cases.<Found, FindView>over(Found.class)
        .when(Found.AUnit.class, one -> FindView.going(query, "/fleet/" + one.unit().code()))
        .when(Found.ATray.class, one -> FindView.going(query, "/trays/" + one.id()))
        .when(Found.AnItem.class, one -> FindView.going(query, "/items/" + one.id()))
        .when(
            Found.OnePart.class,
            one -> FindView.going(query, Plate.of(one.part(), one.stocked()).path()))
        .when(Found.InBin.class, bin -> inBin(query, bin))
        .when(Found.OnUnit.class, unit -> onUnit(query, unit))
        .when(Found.Numbers.class, numbers -> numbers(query, numbers))
        .when(
            Found.NoNumber.class,
            none ->
                FindView.answer(
                    query,
                    "\"" + query + "\" holds no letter and no digit, so it is not a number."))
        .all();
  }

  private static FindView inBin(String query, Found.InBin found) {
    String answer =
        "Bin "
            + found.bin().address()
            + ": "
            + Words.count(found.hits().all().size(), "item", "items")
            + " at home here.";
    return new FindView(query, answer, Optional.empty(), hits(found.hits()), List.of());
  }

  private static FindView onUnit(String query, Found.OnUnit found) {
    String code = found.unit().code();
    List<FindView.PlaceHit> hits =
        found.places().stream().map(place -> placeHit(code, place)).toList();
    if (hits.size() == 1) {
      return FindView.going(query, hits.get(0).path());
    }
    String answer =
        hits.isEmpty()
            ? code + " has no position called " + found.asked() + "."
            : code + " has " + hits.size() + " such positions. Which one?";
    return new FindView(query, answer, Optional.empty(), List.of(), hits);
  }

  private static FindView.PlaceHit placeHit(String unit, Found.Place place) {
    return new FindView.PlaceHit(
        "/fleet/" + unit + "/fits/" + place.position().id(),
        unit,
        place.position().name(),
        place.takes().map(Item::number).orElse("none chosen"));
  }

  private static FindView numbers(String query, Found.Numbers found) {
    return new FindView(
        query, words(query, found), Optional.empty(), hits(found.hits()), List.of());
  }

  private static String words(String query, Found.Numbers found) {
    List<Part> exact = found.exact();
    if (exact.size() > 1) {
      long makes = exact.stream().map(Part::make).distinct().count();
      return (makes > 1 ? makes + " makes use" : "One make prints in " + exact.size() + " ways")
          + " the number "
          + query
          + ". Which one is in your hand?";
    }
    int hits = found.hits().all().size();
    if (hits == 0) {
      return found.tooShort()
          ? "No item, unit or bin is called "
              + query
              + ". Type 3 characters or more to see numbers that begin so."
          : "No item, unit, bin or tray is called " + query + ".";
    }
    return "The number "
        + query
        + " as such is not known. "
        + Words.count(hits, "hit", "hits")
        + " that may be meant.";
  }

  private static List<FindView.Hit> hits(Hits hits) {
    return hits.all().stream()
        .map(
            hit ->
                hit.item()
                    .map(item -> row(hit.kind(), item, hits.freeOf(item)))
                    .orElseGet(() -> row(hit.kind(), hit.part().orElseThrow())))
        .toList();
  }

  private static FindView.Hit row(HitKind kind, Item item, Quantity free) {
    return new FindView.Hit(
        words(kind),
        Plate.of(item),
        item.description(),
        item.product().map(Drum::of),
        item.homeBin().address(),
        free.display());
  }

  private static FindView.Hit row(HitKind kind, Part part) {
    return new FindView.Hit(
        words(kind),
        Plate.of(part, Optional.empty()),
        part.family().map(Family::words).orElse("kind not known") + ", not stocked",
        Optional.empty(),
        "",
        "");
  }

  private static String words(HitKind kind) {
    return switch (kind) {
      case EXACT -> "this number";
      case SUCCESSOR -> "replaces it";
      case PREFIX -> "begins with it";
      case NEAR -> "reads like it";
      case ONE_EDIT -> "one mark off";
      case MAKE -> "of this make";
      case FAMILY -> "of this kind";
      case WORDS -> "these words";
      case BIN -> "in this bin";
    };
  }
}
