package dev.lonja.web.variant;

import dev.lonja.core.quantity.Measure;
import dev.lonja.desk.item.ItemNaming;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;

/** What a name of an item leads to, in words. */
public final class ItemNames {

  private ItemNames() {}

  private static String word(Measure measure) {
    return switch (measure) {
      case LITRES -> "fluid";
      case KILOGRAMS -> "grease";
      case PIECES -> "part";
    };
  }

  /** Why a name leads to no item, at this field of the form. */
  public static RefusalWording at(String field) {
    return RefusalWording.of(
            ItemNaming.Unknown.class,
            none ->
                new Problem(
                    field,
                    "No " + word(none.measure()) + " has the number \"" + none.name() + "\"."))
        .and(
            RefusalWording.of(
                ItemNaming.Several.class,
                several ->
                    new Problem(
                        field,
                        several.makes() + " makes use that number; write the make before it.")));
  }
}
