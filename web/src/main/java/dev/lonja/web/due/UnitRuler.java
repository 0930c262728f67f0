package dev.lonja.web.due;

import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** The ruler of one unit's occurrences over the coming 13 weeks. */
public final class UnitRuler {

  private static final int WEEKS = DueDesk.WEEKS;

  private UnitRuler() {}

  public static String draw(String unitCode, List<Occurrence> occurrences, LocalDate today) {
    List<DueRuler.Post> posts = new ArrayList<>();
    for (Occurrence occurrence : occurrences) {
      // only the next one rests on readings; later ones rest on plans
      Optional<DueSpread> spread =
          posts.isEmpty() ? Optional.of(spread(occurrence, today)) : Optional.empty();
      posts.add(new DueRuler.Post(occurrence.date(), occurrence.leading().isOverdue(), spread));
    }
    String days =
        posts.stream()
            .filter(post -> !post.day().isAfter(today.plusWeeks(WEEKS)))
            .map(post -> Words.day(post.day(), today))
            .collect(Collectors.joining(", "));
    String title =
        unitCode + (days.isEmpty() ? ": nothing planned on the ruler" : ": planned " + days);
    return new DueRuler(today, WEEKS).draw(posts, title);
  }

  private static DueSpread spread(Occurrence occurrence, LocalDate today) {
    return DueSpread.of(occurrence.leading(), today, today.plusYears(FleetPicture.HORIZON_YEARS));
  }
}
