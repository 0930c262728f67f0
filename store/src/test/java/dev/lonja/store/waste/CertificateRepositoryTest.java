package dev.lonja.store.waste;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.waste.CollectionId;
import dev.lonja.core.waste.ContainerId;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.service.ReceiptRepository.Content;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The paper of a collection. */
class CertificateRepositoryTest {

  private static final Instant MONDAY = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<CertificateRepository.Certificate> of(ContainerId tote, CollectionId collection) {
    Map<CollectionId, List<CertificateRepository.Certificate>> all =
        store.read(s -> s.certificates().of(tote));
    return all.getOrDefault(collection, List.of());
  }

  /** Withdrawn it stays where it was, once. */
  @Test
  void aCertificateStaysWithItsCollection() {
    ContainerId tote = Totes.add(store);
    WasteCollection taken =
        new WasteCollection(
            MONDAY,
            Quantity.litres("500"),
            Quantity.litres("0"),
            "Quay Carriers",
            "W-118",
            "storekeeper");
    store.change(s -> s.waste().collect(tote, taken, MONDAY));
    CollectionId collection = store.read(s -> s.waste().fetched(tote).keySet().iterator().next());
    byte[] paper = {'%', 'P', 'D', 'F'};
    store.change(
        s ->
            s.certificates()
                .add(collection, new Content("application/pdf", paper), "storekeeper", MONDAY));
    CertificateRepository.Certificate kept = of(tote, collection).get(0);
    assertThat(kept.mediaType()).isEqualTo("application/pdf");
    assertThat(store.<Optional<Content>>read(s -> s.certificates().content(kept.id())))
        .hasValueSatisfying(content -> assertThat(content.bytes()).isEqualTo(paper));
    assertThat(store.<Boolean>write(s -> s.certificates().withdraw(kept.id(), "other tote")))
        .isTrue();
    assertThat(store.<Boolean>write(s -> s.certificates().withdraw(kept.id(), "again"))).isFalse();
    assertThat(of(tote, collection).get(0).withdrawn()).contains("other tote");
  }
}
