package dev.lonja.desk.waste;

import dev.lonja.core.waste.CertificateId;
import dev.lonja.core.waste.CollectionId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.receipt.PaperFile;
import dev.lonja.desk.receipt.ReceiptRefusal;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.service.ReceiptRepository.Content;
import dev.lonja.store.waste.CertificateRepository.Certificate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps what proves where waste went. */
@Service
@Allowed.ToSeeStore
public class CertificateDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  CertificateDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /** A collection with what proves it. */
  public record Proven(
      CollectionId id, WasteCollection collection, List<Certificate> certificates) {}

  /** What was fetched of a container, the latest first. */
  public List<Proven> of(ContainerId container) {
    return store.read(
        session -> {
          Map<CollectionId, List<Certificate>> certificates = session.certificates().of(container);
          return session.waste().fetched(container).entrySet().stream()
              .map(
                  entry ->
                      new Proven(
                          entry.getKey(),
                          entry.getValue(),
                          certificates.getOrDefault(entry.getKey(), List.of())))
              .toList();
        });
  }

  /** What a certificate of a container holds; empty if there is none such any more. */
  public Optional<Content> content(ContainerId container, CertificateId id) {
    return store.read(
        session ->
            isOf(session, container, id)
                ? session.certificates().content(id)
                : Optional.<Content>empty());
  }

  private static boolean isOf(Session session, ContainerId container, CertificateId id) {
    return session.certificates().of(container).values().stream()
        .flatMap(List::stream)
        .anyMatch(one -> one.id().equals(id));
  }

  /** Keeps a certificate of a collection. */
  @Allowed.ToKeepStore
  public Outcome keep(Sent sent, ContainerId container, CollectionId collection, byte[] file) {
    return once.run(
        sent,
        session -> {
          if (!session.waste().fetched(container).containsKey(collection)) {
            return Outcome.refused(new ReceiptRefusal.NotThere());
          }
          PaperFile.Read read = PaperFile.of(file);
          if (read.refusal().isPresent()) {
            return Outcome.refused(read.refusal().get());
          }
          session
              .certificates()
              .add(collection, read.content().orElseThrow(), sent.actor(), clock.now());
          return Outcome.done();
        });
  }

  /** Withdraws one that was kept in error: what it holds goes, that it was there stays. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, ContainerId container, CertificateId id, String why) {
    return once.run(
        sent,
        session ->
            isOf(session, container, id) && session.certificates().withdraw(id, why)
                ? Outcome.done()
                : Outcome.refused(new ReceiptRefusal.NotThere()));
  }
}
