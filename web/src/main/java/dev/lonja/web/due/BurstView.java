package dev.lonja.web.due;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.desk.service.BurstDesk;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/** What a burst of use would bring forward on one unit. */
public record BurstView(
    String code,
    String name,
    List<MeterChoice> meters,
    BurstForm form,
    String summary,
    List<Sooner> sooner,
    List<Part> parts) {

  public record MeterChoice(MeterId id, String words, boolean chosen) {}

  /** A task that would be due sooner. */
  public record Sooner(String task, String service, String asItIs, String then, String days) {}

  /** What more would be used by the time named in the summary; {@code state} against free stock. */
  public record Part(Plate plate, String more, String free, State state) {}

  /**
   * @param effect empty before there is a burst that can be asked about
   */
  static BurstView of(
      BurstDesk.Subject subject,
      MeterStanding meter,
      BurstForm form,
      Optional<BurstDesk.Effect> effect,
      LocalDate today) {
    return new BurstView(
        subject.unit().code(),
        subject.unit().name(),
        subject.meters().stream().map(m -> choice(m, m.equals(meter))).toList(),
        form,
        effect.map(e -> summary(meter, e, today)).orElse(""),
        effect.map(e -> e.sooner().stream().map(s -> sooner(s, today)).toList()).orElse(List.of()),
        effect.map(e -> e.parts().stream().map(BurstView::part).toList()).orElse(List.of()));
  }

  private static MeterChoice choice(MeterStanding meter, boolean chosen) {
    return new MeterChoice(
        meter.file().meter().id(),
        meter.file().meter().name() + ", " + meter.file().meter().measure().symbol(),
        chosen);
  }

  private static String summary(MeterStanding meter, BurstDesk.Effect effect, LocalDate today) {
    return "The "
        + meter.file().meter().name()
        + " meter would stand at "
        + effect.then().rounded().display()
        + " on "
        + Words.day(effect.end(), today)
        + ", not at "
        + effect.asItIs().rounded().display()
        + ". Parts are counted to "
        + Words.day(effect.until(), today)
        + ".";
  }

  private static Sooner sooner(BurstDesk.Sooner sooner, LocalDate today) {
    Due before = sooner.before();
    return new Sooner(
        before.task().name(),
        before.task().serviceName(),
        before.plannedDate().map(day -> Words.day(day, today)).orElse("beyond two years"),
        Words.day(sooner.then(), today),
        before
            .plannedDate()
            .map(day -> Words.count(ChronoUnit.DAYS.between(sooner.then(), day), "day", "days"))
            .orElse(""));
  }

  private static Part part(BurstDesk.More more) {
    Quantity lacking = more.needed().minus(more.free());
    return new Part(
        Plate.of(more.item()),
        more.more().display(),
        more.free().display(),
        lacking.isPositive()
            ? State.ofShort(lacking.display() + " short")
            : State.ready("covered"));
  }
}
