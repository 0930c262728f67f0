package dev.lonja.desk.backup;

import dev.lonja.desk.audit.Trail;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.backup.BackupFolder;
import dev.lonja.store.backup.Copy;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The copies of the store, for whoever answers for them. */
@Service
@Allowed.ToAdminister
public class BackupDesk {

  private final BackupKeeper keeper;
  private final OnceOnly once;
  private final Trail trail;
  private final ClockWatch clocks;

  public BackupDesk(BackupKeeper keeper, OnceOnly once, Trail trail, ClockWatch clocks) {
    this.keeper = keeper;
    this.once = once;
    this.trail = trail;
    this.clocks = clocks;
  }

  /** A folder with what is kept in it, the latest first. */
  public record Kept(Path folder, List<Copy> copies) {}

  /** All that is to be said of copies. */
  public record Standing(
      Kept first,
      Optional<Kept> second,
      Optional<BackupKeeper.Failure> failure,
      Optional<ClockWatch.Jump> jump) {}

  /** No copy was kept. */
  public record NotKept(BackupKeeper.Failure failure) implements Refusal {}

  public Standing standing() {
    return new Standing(
        kept(keeper.first()),
        keeper.second().map(BackupDesk::kept),
        keeper.failure(),
        clocks.lastJump());
  }

  private static Kept kept(BackupFolder folder) {
    return new Kept(folder.folder(), folder.copies());
  }

  /** Makes a copy now. */
  @Allowed.ToAdminister
  public Outcome make(Sent sent) {
    // a copy is made outside of the transaction that notes the request, so a mark of this very call
    // tells it from one that was carried out before
    String mark = UUID.randomUUID().toString();
    Outcome noted = once.run(sent, session -> Outcome.done(mark));
    if (!noted.equals(Outcome.done(mark))) {
      return noted;
    }
    return keeper
        .make(new Trail.By(sent.actor(), sent.origin()))
        .map(failure -> Outcome.refused(new NotKept(failure)))
        .orElseGet(Outcome::done);
  }

  /** The file of a copy, to be taken out; that it was is noted. */
  public Optional<Path> takeOut(Trail.By by, String name) {
    Optional<Path> file = keeper.first().file(name);
    file.ifPresent(f -> trail.note(by, Matter.BACKUP, name, Deed.DOWNLOADED, Facts.NONE));
    return file;
  }
}
