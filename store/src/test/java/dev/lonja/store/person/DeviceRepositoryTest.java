package dev.lonja.store.person;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.person.PersonId;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Devices on which somebody has signed in. */
class DeviceRepositoryTest {

  private static final PersonId KEEPER = new PersonId(1);
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private boolean isOf(String token, PersonId person) {
    return store.<Boolean>read(s -> s.devices().isOf(token, person));
  }

  /** The twenty-first has the first forgotten. */
  @Test
  void theLatestTwentyOfAPersonAreKnown() {
    for (int i = 1; i <= 21; i++) {
      int number = i;
      store.change(s -> s.devices().add(token(number), KEEPER, NOW.plusSeconds(number)));
    }
    assertThat(isOf(token(1), KEEPER)).isFalse();
    assertThat(isOf(token(2), KEEPER)).isTrue();
    assertThat(isOf(token(21), KEEPER)).isTrue();
    assertThat(isOf(token(21), new PersonId(2))).isFalse();
    store.change(s -> s.devices().forget(KEEPER));
    assertThat(isOf(token(21), KEEPER)).isFalse();
  }

  private static String token(int number) {
    return String.format("%064d", number);
  }
}
