package dev.lonja.app.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.item.ItemId;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.item.ItemDesk;
import dev.lonja.desk.item.ItemFile;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.reorder.Proposal;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.aop.support.AopUtils;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.stereotype.Service;

/** What desks answer again, and to whom. */
class KeptAnswerTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private static final Set<Class<?>> VALUES = Set.of(int.class, long.class, String.class);

  private ItemId item;

  @BeforeEach
  void find() {
    item = SERVER.itemId("RL 1030-1");
  }

  @Test
  void theAnswerIsTheSameUntilSomethingIsWritten() {
    ItemFile first = file("STOREKEEPER");
    assertThat(file("STOREKEEPER")).isSameAs(first);
    SERVER
        .store()
        .write(
            session -> {
              session.keeping().setBarcodes(item, List.of("2000000000015"));
              return true;
            });
    assertThat(first.keeping().barcodes()).isEmpty();
    assertThat(file("STOREKEEPER").keeping().barcodes()).containsExactly("2000000000015");
  }

  /** Trials that are drawn anew and in which nothing changed are the same ones. */
  @Test
  void whatIsProposedIsTheSameUntilSomethingIsWritten() {
    SERVER.waitForTrials();
    Proposal first = later();
    assertThat(later()).isSameAs(first);
    SERVER.store().<Boolean>write(session -> true);
    assertThat(later()).isNotSameAs(first);
    SERVER.waitForTrials();
    Proposal afterTheWrite = later();
    assertThat(later()).isSameAs(afterTheWrite);
  }

  private Proposal later() {
    return SERVER.as("BUYER", () -> SERVER.bean(BuyDesk.class).wanted()).later().get(0);
  }

  @Test
  void theWorkshopIsNotToldWhatTheStorekeeperWas() {
    assertThat(file("STOREKEEPER").shelf().worth()).isPresent();
    assertThat(file("WORKSHOP").shelf().worth()).isEmpty();
    assertThat(file("STOREKEEPER").shelf().worth()).isPresent();
  }

  @Test
  void whoAsksIsCheckedEachTime() {
    file("STOREKEEPER");
    assertThatThrownBy(() -> file("NOBODY")).isInstanceOf(AccessDeniedException.class);
  }

  /** Anything else might change while it stands in a key. */
  @Test
  void whatIsAskedWithIsAValue() {
    List<Method> kept =
        SERVER.context().getBeansWithAnnotation(Service.class).values().stream()
            .flatMap(desk -> Arrays.stream(AopUtils.getTargetClass(desk).getDeclaredMethods()))
            .filter(method -> AnnotatedElementUtils.hasAnnotation(method, KeptAnswer.class))
            .toList();
    assertThat(kept)
        .isNotEmpty()
        .allSatisfy(
            method ->
                assertThat(method.getParameterTypes())
                    .as(method.toString())
                    .allMatch(type -> type.isRecord() || type.isEnum() || VALUES.contains(type)));
  }

  private ItemFile file(String role) {
    ItemDesk desk = SERVER.bean(ItemDesk.class);
    return SERVER.as(role, () -> desk.file(item)).orElseThrow();
  }
}
