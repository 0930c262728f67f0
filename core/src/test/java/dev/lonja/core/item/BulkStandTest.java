package dev.lonja.core.item;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What may stand in one place with drums: 60 L and more of one product only. */
class BulkStandTest {

  private static final Product FARO = product(1, "Faro");
  private static final Product SERENO = product(2, "Sereno");

  @Test
  void aDrumKeepsTheDrumOfAnotherProductOut() {
    assertThat(BulkStand.occupant(fluid(1, FARO, "208"), List.of(fluid(2, SERENO, "60"))))
        .contains(SERENO);
  }

  @Test
  void drumsOfOneProductStandTogetherWhateverTheirSize() {
    assertThat(BulkStand.occupant(fluid(1, FARO, "208"), List.of(fluid(2, FARO, "1000"))))
        .isEmpty();
  }

  /** 59.9 L is a closed pack yet, on either side. */
  @Test
  void smallerPacksMayLieBesideADrum() {
    assertThat(BulkStand.occupant(fluid(1, FARO, "59.9"), List.of(fluid(2, SERENO, "208"))))
        .isEmpty();
    assertThat(BulkStand.occupant(fluid(1, FARO, "208"), List.of(fluid(2, SERENO, "59.9"))))
        .isEmpty();
  }

  @Test
  void whatIsNoFluidIsNotAskedAbout() {
    Item filter = item(3, Optional.empty(), Optional.empty());
    assertThat(BulkStand.occupant(filter, List.of(fluid(2, SERENO, "208")))).isEmpty();
    assertThat(BulkStand.occupant(fluid(1, FARO, "208"), List.of(filter))).isEmpty();
  }

  private static Product product(long id, String name) {
    return new Product(
        new ProductId(id),
        "Maretta",
        name,
        FluidKind.ENGINE_OIL,
        "15W-40",
        "",
        List.of(),
        Product.Data.UNKNOWN,
        0);
  }

  private static Item fluid(long id, Product product, String litres) {
    return item(id, Optional.of(product), Optional.of(Quantity.litres(litres)));
  }

  private static Item item(long id, Optional<Product> product, Optional<Quantity> pack) {
    return new Item(
        new ItemId(id),
        new PartId(id),
        "Maretta",
        "M " + id,
        "",
        product.isPresent() ? Family.FLUID : Family.SPIN_ON_FILTER,
        product.isPresent() ? Measure.LITRES : Measure.PIECES,
        product,
        pack,
        Optional.empty(),
        new Item.Bin(new BinId(1), "D-01", 1),
        Item.Keeping.PLAIN,
        0);
  }
}
