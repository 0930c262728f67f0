package dev.lonja.core.forecast;

import dev.lonja.core.machine.Ways;
import dev.lonja.core.take.KitChoice;
import dev.lonja.core.take.KitShelf;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What one unit's plan will take if kits are taken where the school in force says so. */
public final class KitDemand {

  private KitDemand() {}

  /**
   * @param ways how things are done on the unit
   */
  public static UnitDemand of(UnitDemand loose, Ways ways, KitShelf shelf) {
    if (shelf.kits().isEmpty()) {
      return loose;
    }
    Map<List<Object>, List<ServiceDemand>> byService = new LinkedHashMap<>();
    loose
        .demands()
        .forEach(
            demand ->
                byService
                    .computeIfAbsent(
                        List.of(demand.date(), demand.service()), key -> new ArrayList<>())
                    .add(demand));
    List<ServiceDemand> chosen = new ArrayList<>();
    byService
        .values()
        .forEach(
            service ->
                KitChoice.among(service.stream().map(ServiceDemand::line).toList(), ways, shelf)
                    .forEach(one -> chosen.add(service.get(one.source()).taking(one.line()))));
    return new UnitDemand(chosen, loose.topUps(), loose.gaps());
  }
}
