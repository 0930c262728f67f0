package dev.lonja.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * One process owns a folder of data: whoever writes to it holds the lock on its file {@code
 * lonja.lock}, which also says who that is. The lock goes with the process, however it ends; what
 * the file says is only read while it is held.
 */
public final class StoreLock implements AutoCloseable {

  private static final String NAME = "lonja.lock";
  private static final int LONGEST = 200;

  private final FileChannel channel;
  private final boolean leftBehind;

  private StoreLock(FileChannel channel, boolean leftBehind) {
    this.channel = channel;
    this.leftBehind = leftBehind;
  }

  /** True if whoever had it before ended without giving it back. */
  public boolean wasLeftBehind() {
    return leftBehind;
  }

  /** Somebody else owns the folder. */
  public static final class Held extends RuntimeException {
    private final transient Path folder;
    private final String by;

    Held(Path folder, String by) {
      super(folder + " is held by " + by);
      this.folder = folder;
      this.by = by;
    }

    public Path folder() {
      return folder;
    }

    /** What the other process says of itself, such as "serve, process 4711". */
    public String by() {
      return by;
    }
  }

  /**
   * Takes the folder, which is made if need be.
   *
   * @param what this process is doing, in a word
   * @throws Held if another process, or another part of this one, has it
   */
  public static StoreLock take(Path folder, String what) {
    try {
      StoreFiles.makeFolder(folder);
      Path file = folder.resolve(NAME);
      FileChannel channel =
          FileChannel.open(
              file, StandardOpenOption.CREATE, StandardOpenOption.READ, StandardOpenOption.WRITE);
      Optional<FileLock> lock = tryLock(channel);
      if (lock.isEmpty()) {
        String by = text(channel);
        channel.close();
        throw new Held(folder, by);
      }
      boolean left = channel.size() > 0;
      channel.truncate(0);
      String words = what + ", process " + ProcessHandle.current().pid();
      channel.write(ByteBuffer.wrap(words.getBytes(StandardCharsets.UTF_8)), 1);
      return new StoreLock(channel, left);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot take the folder " + folder, e);
    }
  }

  /**
   * Does some work while this process owns the folder.
   *
   * @throws Held if another one has it
   */
  public static <T> T whileHeld(Path folder, String what, Supplier<T> work) {
    StoreLock lock = take(folder, what);
    try {
      return work.get();
    } finally {
      lock.close();
    }
  }

  /** Who owns the folder now; empty if nobody does. */
  public static Optional<String> holder(Path folder) {
    if (Files.notExists(folder.resolve(NAME))) {
      return Optional.empty();
    }
    try (FileChannel channel =
        FileChannel.open(folder.resolve(NAME), StandardOpenOption.READ, StandardOpenOption.WRITE)) {
      return tryLock(channel).isPresent() ? Optional.empty() : Optional.of(text(channel));
    } catch (IOException e) {
      throw new UncheckedIOException("cannot look at " + folder, e);
    }
  }

  /** Only the first byte is locked, so that the others can be read where locks bar reading. */
  private static Optional<FileLock> tryLock(FileChannel channel) throws IOException {
    try {
      return Optional.ofNullable(channel.tryLock(0, 1, false));
    } catch (OverlappingFileLockException e) {
      return Optional.empty();
    }
  }

  private static String text(FileChannel channel) throws IOException {
    ByteBuffer bytes = ByteBuffer.allocate(LONGEST);
    channel.read(bytes, 1);
    String text = new String(bytes.array(), 0, bytes.position(), StandardCharsets.UTF_8);
    return text.isBlank() ? "another process" : text;
  }

  /** Gives the folder back. */
  @Override
  public void close() {
    try {
      channel.truncate(0);
      channel.close();
    } catch (IOException e) {
      throw new UncheckedIOException("cannot give the folder back", e);
    }
  }
}
