package dev.lonja.store.service;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A receipt of work done elsewhere. */
class ReceiptRepositoryTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final byte[] PHOTO = {(byte) 0xff, (byte) 0xd8, 1, 2};

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<ReceiptRepository.Receipt> receipts(UnitId unit) {
    return store.read(s -> s.receipts().of(unit));
  }

  /** It is of one machine; withdrawn it stays, and says why. */
  @Test
  void aReceiptStaysWithItsMachineEvenIfItIsWithdrawn() {
    store.change(
        s ->
            s.receipts()
                .add(
                    BOAT,
                    LocalDate.parse("2027-02-01"),
                    "injectors",
                    new ReceiptRepository.Content("image/jpeg", PHOTO),
                    "storekeeper",
                    Instant.parse("2027-03-15T09:00:00Z")));
    ReceiptRepository.Receipt receipt = receipts(BOAT).get(0);
    assertThat(receipt.note()).isEqualTo("injectors");
    assertThat(receipt.mediaType()).isEqualTo("image/jpeg");
    assertThat(receipt.withdrawn()).isEmpty();
    assertThat(receipts(new UnitId(2))).isEmpty();
    assertThat(
            store.<Optional<ReceiptRepository.Content>>read(
                s -> s.receipts().content(BOAT, receipt.id())))
        .hasValueSatisfying(content -> assertThat(content.bytes()).isEqualTo(PHOTO));
    assertThat(
            store.<Optional<ReceiptRepository.Content>>read(
                s -> s.receipts().content(new UnitId(2), receipt.id())))
        .isEmpty();
    assertThat(store.<Boolean>write(s -> s.receipts().withdraw(new UnitId(2), receipt.id(), "no")))
        .isFalse();
    assertThat(store.<Boolean>write(s -> s.receipts().withdraw(BOAT, receipt.id(), "other boat")))
        .isTrue();
    assertThat(receipts(BOAT).get(0).withdrawn()).contains("other boat");
  }
}
