package dev.lonja.web.due;

import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The ruler of one unit's occurrences over the coming 13 weeks. */
public final class UnitRuler {

  public static final int WEEKS = 13;

  private UnitRuler() {}

  public static String draw(String unitCode, List<Occurrence> occurrences, LocalDate today) {
    List<DueRuler.Post> posts = new ArrayList<>();
    for (Occurrence occurrence : occurrences) {
      // only the next one rests on readings; later ones rest on plans
      Optional<DueSpread> spread =
          posts.isEmpty() ? Optional.of(spread(occurrence, today)) : Optional.empty();
      posts.add(new DueRuler.Post(occurrence.date(), leading(occurrence).isOverdue(), spread));
    }
    String days =
        posts.stream()
            .filter(post -> !post.day().isAfter(today.plusWeeks(WEEKS)))
            .map(post -> Words.day(post.day(), today))
            .collect(Collectors.joining(", "));
    String title =
        unitCode + (days.isEmpty() ? ": nothing planned on the ruler" : ": planned " + days);
    return DueRuler.draw(today, WEEKS, posts, title);
  }

  static DueSpread spread(Occurrence occurrence, LocalDate today) {
    return DueSpread.of(leading(occurrence), today, today.plusYears(FleetPicture.HORIZON_YEARS));
  }

  /** The overdue task of an occurrence if there is one, else the one that set its day. */
  public static Due leading(Occurrence occurrence) {
    return occurrence.tasks().stream()
        .map(Occurrence.OccurrenceTask::due)
        .filter(Due::isOverdue)
        .findFirst()
        .orElse(occurrence.tasks().get(0).due());
  }
}
