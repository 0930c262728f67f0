package dev.lonja.web.backup;

import dev.lonja.desk.backup.BackupDesk;
import dev.lonja.desk.backup.BackupKeeper;
import dev.lonja.desk.backup.ClockWatch;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.backup.Copy;
import dev.lonja.web.frame.Words;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Says in words what is kept of the store, and what stands in the way. */
final class BackupWording {

  private static final double MEGA = 1_000_000;

  private final StoreClock clock;

  BackupWording(StoreClock clock) {
    this.clock = clock;
  }

  BackupView view(BackupDesk.Standing standing, String path) {
    List<BackupView.Folder> folders = new ArrayList<>();
    folders.add(folder("Beside the store", standing.first(), Optional.of(path)));
    standing
        .second()
        .ifPresent(second -> folders.add(folder("Second folder", second, Optional.empty())));
    return new BackupView(
        folders, standing.failure().map(this::words), standing.jump().map(this::words));
  }

  private BackupView.Folder folder(String title, BackupDesk.Kept kept, Optional<String> path) {
    return new BackupView.Folder(
        title,
        kept.folder().toString(),
        kept.copies().stream().map(copy -> row(copy, path)).toList());
  }

  private BackupView.Row row(Copy copy, Optional<String> path) {
    return new BackupView.Row(
        Words.day(copy.day(), clock.today()),
        at(copy.made()),
        String.format(Locale.ROOT, "%.1f MB", copy.bytes() / MEGA),
        path.map(p -> p + "/" + copy.name()));
  }

  String words(BackupKeeper.Failure failure) {
    if (failure instanceof BackupKeeper.Failure.Unwritable unwritable) {
      return "At "
          + at(unwritable.at())
          + " no copy could be kept in "
          + unwritable.folder()
          + ": "
          + unwritable.why()
          + ". Is the disk full, or not there?";
    }
    return "At "
        + at(failure.at())
        + " the copy was not sound, so it was not kept: the store itself is damaged. Stop the server, run "
        + "./lonja verify, and go back to the last good copy.";
  }

  private String words(ClockWatch.Jump jump) {
    return "The clock of this machine stood at "
        + at(jump.found())
        + " when "
        + at(jump.expected())
        + " was expected. Set it right: days, due dates and shelf lives rest on it.";
  }

  private String at(Instant instant) {
    return Words.day(clock.dayOf(instant), clock.today()) + ", " + clock.timeOf(instant);
  }
}
