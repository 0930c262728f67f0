package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Fitting;
import java.util.ArrayList;
import java.util.List;

/** What a place demands, in words. */
final class PlaceWording {

  private PlaceWording() {}

  /** The demands in a few words each. */
  static List<String> words(Fitting place) {
    List<String> words = new ArrayList<>();
    place.mostHeight().ifPresent(most -> words.add("at most " + most.display() + " high"));
    place.mostOuterDiameter().ifPresent(most -> words.add("at most " + most.display() + " wide"));
    if (place.needsAntiDrainValve()) {
      words.add("needs an anti-drain valve, since it does not hang upright");
    }
    if (place.needsWaterSeparator()) {
      words.add("needs a water separator");
    }
    if (!place.materials().isEmpty()) {
      words.add("of " + String.join(" or ", place.materials()));
    }
    return words;
  }
}
