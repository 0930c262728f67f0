package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** A meter within its fleet, with its outlook. */
public record MeterStanding(MeterFile file, MeterOutlook outlook) {

  /** From this many days without an accepted reading a meter is called silent. */
  public static final int STALE_DAYS = 45;

  /**
   * Finds the rates of all meters of a fleet: from readings, else as declared, else the median of
   * the class, else unknown; and with a rate above zero how unevenly they run.
   *
   * @return by meter id
   */
  public static Map<MeterId, MeterStanding> ofFleet(List<MeterFile> files) {
    Map<Long, Classmates> classes = new HashMap<>();
    files.stream()
        .collect(Collectors.groupingBy(file -> file.unit().unitClass().id()))
        .forEach((id, members) -> classes.put(id, Classmates.of(members)));
    Map<MeterId, MeterStanding> standings = new TreeMap<>();
    for (MeterFile file : files) {
      Classmates classmates = classes.get(file.unit().unitClass().id());
      standings.put(file.meter().id(), standing(file, classmates));
    }
    return standings;
  }

  /** What the readings of one class say together. */
  private record Classmates(List<UsageRate> rates, List<Dispersion> dispersions) {

    static Classmates of(List<MeterFile> files) {
      return new Classmates(
          files.stream().flatMap(file -> file.digest().rate().stream()).toList(),
          files.stream().flatMap(file -> file.digest().dispersion().stream()).toList());
    }
  }

  private static MeterStanding standing(MeterFile file, Classmates classmates) {
    MeterDigest digest = file.digest();
    Optional<UsageRate> best =
        digest
            .rate()
            .or(file.meter()::declaredRate)
            .or(() -> RateFinder.classMedian(classmates.rates(), file.meter().measure()));
    Optional<Dispersion> phi =
        best.filter(rate -> !rate.isStandingStill())
            .map(
                rate ->
                    digest
                        .dispersion()
                        .orElseGet(
                            () -> DispersionFinder.otherwise(classmates.dispersions(), rate)));
    Optional<LastReading> last = digest.last();
    MeterOutlook outlook =
        new MeterOutlook(
            last.map(LastReading::day).orElse(file.unit().inServiceOn()),
            last.map(LastReading::life).orElse(file.meter().start()),
            best,
            phi,
            file.calendar(),
            Optional.empty(),
            digest.offset());
    return new MeterStanding(file, outlook);
  }

  /** The last accepted reading, if there is one. */
  public Optional<LastReading> lastAccepted() {
    return file.digest().last();
  }

  /** The life at which the meter in place shows {@code shown}. */
  public MeterValue life(MeterValue shown) {
    return outlook.offset().life(shown);
  }

  /** What the meter in place is expected to show on {@code day}, to the tenth. */
  public MeterValue expectedToShow(LocalDate day) {
    return outlook.offset().shown(outlook.on(day).rounded()).orElseThrow();
  }

  /** Days from the last accepted reading, or from the start of service if there is none. */
  public long silentDays(LocalDate today) {
    LocalDate last = lastAccepted().map(LastReading::day).orElse(file.unit().inServiceOn());
    return ChronoUnit.DAYS.between(last, today);
  }

  /** True from {@value #STALE_DAYS} days without an accepted reading on. */
  public boolean isStale(LocalDate today) {
    return silentDays(today) >= STALE_DAYS;
  }
}
