package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
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
    Classmates classmates = new Classmates(files);
    Map<MeterId, MeterStanding> standings = new TreeMap<>();
    files.forEach(file -> standings.put(file.meter().id(), standing(file, classmates)));
    return standings;
  }

  /**
   * What the readings of each class say together. Most meters are told by their own, so it is
   * worked out for the first that is not.
   */
  private static final class Classmates {

    private final List<MeterFile> files;
    private final Map<Long, List<MeterFile>> members = new HashMap<>();
    private final Map<Long, List<UsageRate>> rates = new HashMap<>();
    private final Map<Long, List<Dispersion>> dispersions = new HashMap<>();

    Classmates(List<MeterFile> files) {
      this.files = files;
    }

    List<UsageRate> rates(MeterFile of) {
      return rates.computeIfAbsent(classId(of), id -> all(id, MeterDigest::rate));
    }

    List<Dispersion> dispersions(MeterFile of) {
      return dispersions.computeIfAbsent(classId(of), id -> all(id, MeterDigest::dispersion));
    }

    private <T> List<T> all(Long classId, Function<MeterDigest, Optional<T>> said) {
      if (members.isEmpty()) {
        members.putAll(files.stream().collect(Collectors.groupingBy(Classmates::classId)));
      }
      return members.get(classId).stream()
          .flatMap(file -> said.apply(file.digest()).stream())
          .toList();
    }

    private static Long classId(MeterFile file) {
      return file.unit().unitClass().id();
    }
  }

  private static MeterStanding standing(MeterFile file, Classmates classmates) {
    MeterDigest digest = file.digest();
    Optional<UsageRate> best =
        digest
            .rate()
            .or(file.meter()::declaredRate)
            .or(() -> RateFinder.classMedian(classmates.rates(file), file.meter().measure()));
    Optional<Dispersion> phi =
        best.filter(rate -> !rate.isStandingStill())
            .map(
                rate ->
                    digest
                        .dispersion()
                        .orElseGet(
                            () -> DispersionFinder.otherwise(classmates.dispersions(file), rate)));
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
