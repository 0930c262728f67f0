package dev.lonja.desk.bench;

import java.util.List;
import java.util.Optional;

/** A simulated label printer that can be looked into. */
public interface PrintedLabels {

  /** A label that came out. */
  record Printed(long number, String what) {}

  /** The latest that came out, the last first. */
  List<Printed> latest();

  /** The page of one that came out, while it is kept. */
  Optional<byte[]> page(long number);

  /** Takes its labels out, or puts some in. */
  void setEmpty(boolean empty);

  boolean isEmpty();
}
