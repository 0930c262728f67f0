package dev.lonja.desk.waste;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.ContainerStand;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.core.waste.WasteEntry;
import dev.lonja.core.waste.WasteStream;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers what waste is where, and by when it has to be fetched. */
@Service
@Allowed.ToSeeStore
public class WasteDesk {

  private static final int LATELY = 70;

  private final LonjaStore store;
  private final StoreClock clock;

  WasteDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** All containers, by name. */
  @KeptAnswer
  public List<ContainerStand> stands() {
    return store.read(session -> stands(session, clock));
  }

  /** Far enough back to see what comes in a week, and what came back of jobs. */
  static Instant lately(StoreClock clock) {
    return clock.beginOf(clock.today().minusDays(LATELY));
  }

  static List<ContainerStand> stands(Session session, StoreClock clock) {
    Map<ContainerId, List<WasteEntry>> entries = session.waste().entries(lately(clock));
    Map<ContainerId, List<WasteCollection>> collections = session.waste().collections();
    return session.waste().containers().stream()
        .map(
            container ->
                ContainerStand.of(
                    container,
                    entries.getOrDefault(container.id(), List.of()),
                    collections.getOrDefault(container.id(), List.of()),
                    clock.today(),
                    clock::dayOf))
        .toList();
  }

  /**
   * A container opened.
   *
   * @param entries since it was fetched last, the latest first
   * @param collections the latest first
   */
  public record Opened(
      ContainerStand stand, List<WasteEntry> entries, List<WasteCollection> collections) {}

  /** Empty if there is none of this number. */
  public Optional<Opened> container(ContainerId id) {
    return store.read(
        session ->
            stands(session, clock).stream()
                .filter(stand -> stand.container().id().equals(id))
                .findFirst()
                .map(stand -> opened(session, stand)));
  }

  private Opened opened(Session session, ContainerStand stand) {
    ContainerId id = stand.container().id();
    List<WasteCollection> collections =
        new ArrayList<>(session.waste().collections().getOrDefault(id, List.of()));
    Collections.reverse(collections);
    Instant since = collections.isEmpty() ? Instant.MIN : collections.get(0).at();
    List<WasteEntry> entries =
        new ArrayList<>(
            session.waste().entries(lately(clock)).getOrDefault(id, List.of()).stream()
                .filter(entry -> entry.at().isAfter(since))
                .toList());
    Collections.reverse(entries);
    return new Opened(stand, entries, collections);
  }

  /**
   * The page of waste.
   *
   * @param open what came back of jobs and is in no container yet
   */
  public record Overview(
      List<ContainerStand> stands, List<WasteStream> streams, List<CameBack> open) {}

  /** All of it. */
  public Overview overview() {
    return store.read(
        session ->
            new Overview(
                stands(session, clock), session.waste().streams(), CameBack.open(session, clock)));
  }

  /**
   * What became of a stream in a year.
   *
   * @param putIn what was put into its containers
   * @param fetched what was taken, by the collectors' measure
   */
  public record YearOfStream(
      WasteStream stream, Quantity putIn, Quantity fetched, List<Fetched> collections) {}

  /** A collection and what it emptied. */
  public record Fetched(WasteContainer container, WasteCollection collection) {}

  /** The name under which the store reports. */
  public String store() {
    return store.read(session -> session.settings().storeName());
  }

  /** By stream, what was put in and fetched in a calendar year. */
  public List<YearOfStream> year(int year) {
    return store.read(
        session -> {
          List<WasteContainer> containers = session.waste().containers();
          Read read =
              new Read(
                  session.waste().entries(clock.beginOf(LocalDate.of(year, 1, 1))),
                  session.waste().collections());
          return session.waste().streams().stream()
              .map(
                  stream ->
                      yearOf(
                          stream,
                          containers.stream()
                              .filter(one -> one.stream().id().equals(stream.id()))
                              .toList(),
                          read,
                          year))
              .toList();
        });
  }

  private record Read(
      Map<ContainerId, List<WasteEntry>> entries,
      Map<ContainerId, List<WasteCollection>> collections) {}

  private YearOfStream yearOf(
      WasteStream stream, List<WasteContainer> containers, Read read, int year) {
    Quantity zero = Quantity.zero(stream.measure());
    Quantity putIn =
        containers.stream()
            .flatMap(one -> read.entries().getOrDefault(one.id(), List.of()).stream())
            .filter(entry -> clock.dayOf(entry.at()).getYear() == year)
            .map(WasteEntry::quantity)
            .reduce(zero, Quantity::plus);
    List<Fetched> fetched =
        containers.stream()
            .flatMap(
                one ->
                    read.collections().getOrDefault(one.id(), List.of()).stream()
                        .filter(its -> clock.dayOf(its.at()).getYear() == year)
                        .map(its -> new Fetched(one, its)))
            .toList();
    return new YearOfStream(
        stream,
        putIn,
        fetched.stream().map(one -> one.collection().taken()).reduce(zero, Quantity::plus),
        fetched);
  }
}
