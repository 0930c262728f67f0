package dev.lonja.desk.person;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.desk.Cage;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/** Who takes something over the counter, by name, badge and PIN. */
class ReceiverTest {

  @RegisterExtension private final Cage cage = new Cage();

  private final Secrets secrets = new Secrets(new BCryptPasswordEncoder(4));
  private Receiver receiver;

  @BeforeEach
  void anaHasABadgeAndAPin() {
    receiver = new Receiver(new Pins(secrets, new Tries(cage.clock())));
    cage.write(
        session -> {
          PersonId ana = session.people().add(new PersonName("Ana Sol"), Set.of(Role.WORKSHOP));
          session.people().setPin(ana, Optional.of(secrets.hash("4711")));
          session.people().setBadge(ana, Optional.of(Secrets.digest("HB-000417")));
        });
  }

  private Optional<Receiver.Known> read(String who, String pin) {
    return cage.read(session -> receiver.read(session, who, pin));
  }

  @Test
  void aBadgeOrANameLeadsToThePersonAsTheyAreCalled() {
    assertThat(read("hb-000417", "")).contains(new Receiver.Known("Ana Sol", false));
    assertThat(read(" ANA  SOL", "")).contains(new Receiver.Known("Ana Sol", false));
    assertThat(read("a driver of the ferry", ""))
        .contains(new Receiver.Known("a driver of the ferry", false));
  }

  @Test
  void aPinSignsAndAWrongOneDoesNot() {
    assertThat(read("HB-000417", "4711")).contains(new Receiver.Known("Ana Sol", true));
    assertThat(read("Ana Sol", "4712")).isEmpty();
    assertThat(read("a driver of the ferry", "4711")).isEmpty();
  }

  /** Five wrong ones, and the right one has to wait too. */
  @Test
  void guessingAtAPinCostsTime() {
    for (int i = 0; i < 5; i++) {
      assertThat(read("Ana Sol", "00" + (10 + i))).isEmpty();
    }
    assertThat(read("Ana Sol", "4711")).isEmpty();
    assertThat(read("Ana Sol", "")).isPresent();
  }
}
