package dev.lonja.app.command;

import dev.lonja.store.StoreCheck;
import dev.lonja.store.StoreFault;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Consumer;

/**
 * Goes through a large file while its server answers already. Nobody waits for it, and a damaged
 * store is not written to for longer than that takes.
 */
final class LateLook {

  private LateLook() {}

  /**
   * Begins to look, beside what else is done.
   *
   * @param damaged told what is wrong, if anything is
   */
  static Thread begin(Path database, Consumer<List<StoreFault>> damaged) {
    Thread look =
        new Thread(
            () -> {
              List<StoreFault> faults = StoreCheck.quick(database);
              if (!faults.isEmpty()) {
                damaged.accept(faults);
              }
            },
            "late-look");
    look.setDaemon(true);
    look.start();
    return look;
  }
}
