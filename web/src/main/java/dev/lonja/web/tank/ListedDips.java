package dev.lonja.web.tank;

import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.Reconciliation;
import java.time.Instant;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Which dips of a tank are listed: all by hand and all that closed a difference; of what a gauge
 * reads every hour the last of each day, and where it does not agree.
 */
final class ListedDips {

  private final Set<Dip> listed;
  private final List<Dip> all;

  ListedDips(List<Dip> all, Function<Instant, LocalDate> dayOf) {
    this.all = all;
    Map<LocalDate, Dip> last = new HashMap<>();
    all.stream()
        .filter(Dip::byGauge)
        .forEach(
            dip ->
                last.merge(dayOf.apply(dip.at()), dip, (a, b) -> b.at().isBefore(a.at()) ? a : b));
    Set<Dip> lastOfDays = Set.copyOf(last.values());
    this.listed =
        all.stream()
            .filter(dip -> !dip.byGauge() || dip.agreed() || lastOfDays.contains(dip))
            .collect(Collectors.toSet());
  }

  List<Dip> dips() {
    return all.stream().filter(listed::contains).toList();
  }

  /** True if what lies between two dips is listed. */
  boolean lists(Reconciliation.Span span) {
    return listed.contains(span.to()) || !span.agrees();
  }

  /** How many are left out. */
  int leftOut() {
    return all.size() - listed.size();
  }
}
