package dev.lonja.core.person;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SessionLimitsTest {

  private static final Instant BEGAN = Instant.parse("2027-03-15T08:00:00Z");

  @ParameterizedTest(name = "{0}, seen after {1}, now after {2}: over {3}")
  @CsvSource({
    // 12 h without a request, 7 d in all
    "STOREKEEPER, PT2H, PT13H59M59S, false",
    "STOREKEEPER, PT2H, PT14H, true",
    "STOREKEEPER, PT167H59M, PT167H59M59S, false",
    "STOREKEEPER, PT167H59M, PT168H, true",
    // 1 h without a request, 12 h in all
    "ADMINISTRATOR, PT2H, PT2H59M59S, false",
    "ADMINISTRATOR, PT2H, PT3H, true",
    "ADMINISTRATOR, PT11H59M, PT12H, true",
  })
  void aSessionEndsByItself(Role role, Duration seen, Duration now, boolean over) {
    assertThat(
            SessionLimits.of(EnumSet.of(role, Role.STOREKEEPER))
                .isOver(BEGAN, BEGAN.plus(seen), BEGAN.plus(now)))
        .isEqualTo(over);
  }
}
