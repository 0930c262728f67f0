package dev.lonja.core.tray;

import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** What cannot have been done with what was on a tray. */
public final class OpenWork {

  private OpenWork() {}

  /**
   * The tasks of which something was left out. Until a person says otherwise they stand at not
   * done.
   */
  public static Set<TaskId> of(List<TrayLine> lines) {
    return lines.stream()
        .filter(line -> line.leftOut().isPresent() && !line.isLaid())
        .flatMap(line -> line.tasks().stream())
        .collect(Collectors.toUnmodifiableSet());
  }
}
