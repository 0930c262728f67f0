package dev.lonja.desk.reorder;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.ShelfFluid;
import dev.lonja.store.Session;
import dev.lonja.store.item.ItemRepository;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The workboats' engines take Ola from the drum, item 1; cans of Ola, item 2, hold another product
 * here, 20 L of which are on the shelf.
 */
class OtherFluidsTest {

  @RegisterExtension private final Cage cage = new Cage();

  /** A product like Ola of these classes comes in the cans. */
  private void cansHold(String classes) {
    cage.write(
        session -> {
          Product ola = session.products().byName("Maretta", "Ola").orElseThrow();
          ProductId other = session.products().next();
          session
              .products()
              .add(
                  new Product(
                      other,
                      "Orvane",
                      "Marejada",
                      ola.kind(),
                      ola.grade(),
                      classes,
                      List.of(),
                      ola.data(),
                      0));
          Item cans = session.items().byId(new ItemId(2)).orElseThrow();
          session
              .items()
              .update(
                  cans.id(),
                  0,
                  new ItemRepository.Facts(
                      cans.description(),
                      cans.measure(),
                      Optional.of(other),
                      cans.pack(),
                      Optional.empty(),
                      cans.homeBin().id(),
                      cans.keeping()));
        });
  }

  private List<String> instead(long item) {
    return cage.read(
        session -> {
          Subject subject =
              Subject.all(
                      List.of(session.items().byId(new ItemId(item)).orElseThrow()),
                      new Subject.There(Map.of(), Map.of()),
                      List.of(),
                      Cage.TODAY)
                  .get(0);
          return others(session).of(subject).stream()
              .map(fluid -> fluid.product().display() + ", " + free(fluid))
              .toList();
        });
  }

  private static String free(ShelfFluid fluid) {
    return fluid.free().display();
  }

  private static OtherFluids others(Session session) {
    return new OtherFluids(session, FleetPicture.load(session, Cage.TODAY));
  }

  /**
   * The engines ask for API CI-4 or ACEA E7: what claims both may go in, what claims neither not.
   */
  @Test
  void whatMayGoInEverywhereIsNamedWithWhatIsFree() {
    cansHold("API CI-4; ACEA E7");
    assertThat(instead(1)).containsExactly("Orvane Marejada, 20.00 L");
  }

  @Test
  void whatNeedsASignatureOrMayNotIsNone() {
    cansHold("API SN");
    assertThat(instead(1)).isEmpty();
  }

  /** The gear oil's place is asked for nothing that another gear oil here could do. */
  @Test
  void onlyTheSameKindIsHeldAgainstIt() {
    cansHold("API CI-4; ACEA E7");
    assertThat(instead(5)).isEmpty();
    assertThat(instead(38)).isEmpty();
  }
}
