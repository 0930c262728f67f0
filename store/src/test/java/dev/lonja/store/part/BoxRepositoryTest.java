package dev.lonja.store.part;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.store.ExampleStore;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Boxes on a real file with the example store: a drain plug, part 31, comes with washer 25. */
class BoxRepositoryTest {

  private static final PartId PLUG = new PartId(31);
  private static final PartId WASHER = new PartId(25);

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<BoxContent> of(PartId part) {
    return store.read(session -> session.boxes().of(part));
  }

  @Test
  void aBoxIsReadFromBothSides() {
    assertThat(of(PLUG)).extracting(content -> content.part().id()).containsExactly(WASHER);
    assertThat(of(WASHER)).isEmpty();
    assertThat(store.<List<PartId>>read(session -> session.boxes().boxesWith(WASHER)))
        .containsExactly(PLUG);
    Map<PartId, List<BoxContent>> several =
        store.read(session -> session.boxes().of(List.of(PLUG, WASHER)));
    assertThat(several).containsOnlyKeys(PLUG);
  }

  /** As stocked items: in the box of the item of part 31 lies the item of part 25, once. */
  @Test
  void whatIsInTheBoxesOfItemsIsItems() {
    Boxes boxes = store.read(session -> session.boxes().ofStockedItems());
    ItemId plug = item(PLUG);
    ItemId washer = item(WASHER);
    assertThat(boxes.of(plug)).containsExactly(new Boxes.Content(Set.of(washer), 1));
    assertThat(boxes.of(washer)).isEmpty();
  }

  private ItemId item(PartId part) {
    return store.read(s -> s.items().byParts(List.of(part)).get(part).id());
  }

  /** Three washers and nothing else take the place of the one. */
  @Test
  void whatIsWrittenTakesThePlaceOfWhatWas() {
    Part washer = store.<Optional<Part>>read(session -> session.parts().byId(WASHER)).orElseThrow();
    store.write(
        session -> {
          session.boxes().set(PLUG, List.of(new BoxContent(washer, 3)));
          return true;
        });
    assertThat(of(PLUG)).containsExactly(new BoxContent(washer, 3));
    store.write(
        session -> {
          session.boxes().set(PLUG, List.of());
          return true;
        });
    assertThat(of(PLUG)).isEmpty();
  }
}
