package dev.lonja.store.waste;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.StreamId;
import dev.lonja.core.waste.WasteKind;
import dev.lonja.store.ExampleStore;
import java.util.Optional;

/** A tote of 600 L on the quay, for used oil that may be kept for 180 days. */
final class Totes {

  private Totes() {}

  static ContainerId add(ExampleStore store) {
    return store.write(
        s -> {
          StreamId oil =
              s.waste()
                  .addStream(
                      WasteKind.USED_OIL,
                      "Used oil",
                      "13 02 05*",
                      Measure.LITRES,
                      Optional.of(180));
          return s.waste().addContainer(oil, "Tote", Quantity.litres("600"), "quay", 5);
        });
  }
}
