package dev.lonja.store.fluid;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.store.ExampleStore;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What a maker says of a product, as it came. */
class DataSheetRepositoryTest {

  private static final ProductId OLA = new ProductId(1);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void add(DataSheetRepository.Kind kind, String dated, String content) {
    store.change(
        s ->
            s.dataSheets()
                .add(
                    OLA,
                    kind,
                    LocalDate.parse(dated),
                    content.getBytes(StandardCharsets.US_ASCII),
                    "storekeeper",
                    Instant.parse("2027-03-15T09:00:00Z")));
  }

  private List<DataSheetRepository.Sheet> sheets(ProductId product) {
    return store.read(s -> s.dataSheets().of(product));
  }

  /** Only under the product that it is of, and byte for byte. */
  @Test
  void aSheetComesBackAsItWent() {
    DataSheetRepository.Kind kind = DataSheetRepository.Kind.values()[0];
    add(kind, "2026-11-02", "%PDF-1.7 one");
    assertThat(sheets(OLA))
        .singleElement()
        .satisfies(
            sheet -> {
              assertThat(sheet.kind()).isEqualTo(kind);
              assertThat(sheet.datedOn()).isEqualTo(LocalDate.parse("2026-11-02"));
            });
    long id = sheets(OLA).get(0).id();
    assertThat(store.<Optional<byte[]>>read(s -> s.dataSheets().content(OLA, id)))
        .hasValueSatisfying(bytes -> assertThat(bytes).asString().isEqualTo("%PDF-1.7 one"));
    assertThat(store.<Optional<byte[]>>read(s -> s.dataSheets().content(new ProductId(2), id)))
        .isEmpty();
    assertThat(sheets(new ProductId(2))).isEmpty();
    store.change(s -> s.dataSheets().remove(id));
    assertThat(sheets(OLA)).isEmpty();
  }
}
