package dev.lonja.core.trial;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.TrayHold;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.place.Place;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.take.KitShelf;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A unit as it stands, to draw what it may take.
 *
 * @param home where its demand falls
 * @param lastDay on which it serves; empty if no end is known
 * @param inHand its trays that are laid or out
 * @param holds what is taken off its next occurrences
 * @param topUps by compartment, what it takes between services
 * @param kits that may be taken in place of loose parts
 */
public record TrialUnit(
    UnitId id,
    Place home,
    Optional<LocalDate> lastDay,
    UnitNeeds needs,
    List<TaskStanding> tasks,
    List<InHand> inHand,
    List<TrayHold> holds,
    Map<Compartment, TopUpUse> topUps,
    KitShelf kits) {

  public TrialUnit {
    tasks = List.copyOf(tasks);
    inHand = List.copyOf(inHand);
    holds = List.copyOf(holds);
    topUps = Map.copyOf(topUps);
  }
}
