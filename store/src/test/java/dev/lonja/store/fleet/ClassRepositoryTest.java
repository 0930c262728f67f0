package dev.lonja.store.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Unit;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Classes of units on a real file with the example store; WB are its workboats. */
class ClassRepositoryTest {

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private <T> T write(Function<Session, T> work) {
    return store.write(work);
  }

  private StoredClass byCode(String code) {
    return store.<Optional<StoredClass>>read(s -> s.classes().byCode(code)).orElseThrow();
  }

  /** January stands still, July runs 1.8 times the mean; the code is found in any case. */
  @Test
  void aClassHasItsMonths() {
    StoredClass boats = byCode("wb");
    assertThat(boats.unitClass().name()).isEqualTo("Workboats");
    assertThat(boats.months()).hasSize(12).startsWith(0, 5_000, 8_000).contains(18_000);
    assertThat(boats.months().stream().mapToInt(Integer::intValue).sum()).isEqualTo(120_000);
    assertThat(store.<Integer>read(s -> s.classes().units(boats.unitClass().id()))).isPositive();
  }

  @Test
  void aNewClassRunsEvenlyUntilItsMonthsAreSet() {
    long id = write(s -> s.classes().add("TR", "Trailers"));
    assertThat(byCode("TR").months()).isEqualTo(Collections.nCopies(12, 10_000));
    List<Integer> months = List.of(60_000, 60_000, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0);
    assertThat(this.<Boolean>write(s -> s.classes().setMonths(id, 0, months))).isTrue();
    assertThat(this.<Boolean>write(s -> s.classes().setMonths(id, 0, months))).isFalse();
    assertThat(byCode("TR").months()).isEqualTo(months);
  }

  @Test
  void aClassIsRenamedByItsVersionAndDeleted() {
    long id = write(s -> s.classes().add("TR", "Trailers"));
    assertThat(this.<Boolean>write(s -> s.classes().edit(id, 0, "Boat trailers", Outline.PLAIN)))
        .isTrue();
    assertThat(this.<Boolean>write(s -> s.classes().edit(id, 0, "Other", Outline.PLAIN))).isFalse();
    assertThat(byCode("TR").unitClass().name()).isEqualTo("Boat trailers");
    write(
        s -> {
          s.classes().delete(id);
          return true;
        });
    assertThat(store.<Optional<StoredClass>>read(s -> s.classes().byCode("TR"))).isEmpty();
  }

  /** A new address takes the place of the old one, which leads nowhere then. */
  @Test
  void aCalendarHasOneAddress() {
    long boats = byCode("WB").unitClass().id();
    address(boats, Optional.of("a".repeat(32)));
    address(boats, Optional.of("b".repeat(32)));
    assertThat(bySecret("a".repeat(32))).isEmpty();
    assertThat(bySecret("b".repeat(32)).map(Unit.UnitClass::code)).contains("WB");
    assertThat(byCode("WB").secret()).contains("b".repeat(32));
    address(boats, Optional.empty());
    assertThat(bySecret("b".repeat(32))).isEmpty();
  }

  private void address(long classId, Optional<String> secret) {
    write(
        s -> {
          s.classes().setSecret(classId, secret);
          return true;
        });
  }

  private Optional<Unit.UnitClass> bySecret(String secret) {
    return store.read(s -> s.classes().bySecret(secret));
  }
}
