package dev.lonja.app.policy;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.School;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The forklifts run on Grua 10W-40, and their spec allows the 15W-40 of the trucks, Faro, as well.
 */
class OneOilTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** By the store's policy plan and machine take Faro, in the pack whose litre costs least. */
  @Test
  void oneProductGoesWhereverItMay() {
    assertThat(visitor.get("/fleet/FL-1").words()).contains("GR 1040-20");
    assertThat(visitor.get("/ahead/" + SERVER.itemId("FA 15-205")).words()).doesNotContain("FL-1");
    SERVER
        .store()
        .write(
            session -> {
              session.policies().choose(Holder.STORE, Choice.of(School.ONE_PRODUCT));
              // a person's word for one machine stands before the policy
              session.fleet().serving(LonjaServer.TODAY).stream()
                  .filter(unit -> unit.code().equals("FL-3"))
                  .map(unit -> new Holder.OfUnit(unit.id()))
                  .forEach(
                      unit -> session.policies().choose(unit, Choice.of(School.SEPARATE_PRODUCTS)));
              return true;
            });
    Visitor.Page unit = visitor.get("/fleet/FL-1");
    assertThat(unit.words()).contains("FA 15-205").doesNotContain("GR 1040-20");
    assertThat(visitor.get("/fleet/FL-3").words()).contains("GR 1040-20");
    assertThat(visitor.get("/ahead/" + SERVER.itemId("FA 15-205")).words())
        .contains("FL-1", "One oil or several: one product wherever all specs allow it");
    assertThat(SERVER.isSound()).isTrue();
  }
}
