package dev.lonja.app.device;

import dev.lonja.desk.bench.PrintedLabels;
import dev.lonja.desk.label.LabelPrinter;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** A stand-in for a label printer: it keeps the latest labels that came out. */
@Component
@Profile("bench")
public class SimulatedLabelPrinter implements LabelPrinter, PrintedLabels {

  private static final int KEPT = 20;

  private final Deque<Page> pages = new ArrayDeque<>();
  private long last;
  private boolean empty;

  private record Page(Printed printed, byte[] content) {}

  @Override
  public boolean isConnected() {
    return true;
  }

  @Override
  public synchronized Answer print(String what, byte[] page) {
    if (empty) {
      return Answer.OUT_OF_LABELS;
    }
    last++;
    pages.addFirst(new Page(new Printed(last, what), page.clone()));
    if (pages.size() > KEPT) {
      pages.removeLast();
    }
    return Answer.PRINTED;
  }

  @Override
  public synchronized List<Printed> latest() {
    return pages.stream().map(Page::printed).toList();
  }

  @Override
  public synchronized Optional<byte[]> page(long number) {
    return pages.stream()
        .filter(page -> page.printed().number() == number)
        .findFirst()
        .map(page -> page.content().clone());
  }

  @Override
  public synchronized void setEmpty(boolean isEmpty) {
    empty = isEmpty;
  }

  @Override
  public synchronized boolean isEmpty() {
    return empty;
  }
}
