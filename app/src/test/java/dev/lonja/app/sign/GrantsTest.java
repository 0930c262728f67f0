package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.GrantCheck;
import dev.lonja.desk.request.Sent;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.aop.support.AopUtils;
import org.springframework.context.ApplicationContext;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.prepost.PreAuthorize;

/** Denied unless granted: every method of every desk says who may call it. */
class GrantsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private static List<Class<?>> desks() {
    ApplicationContext context = SERVER.context();
    return Stream.of(context.getBeanDefinitionNames())
        .map(context::getBean)
        .<Class<?>>map(AopUtils::getTargetClass)
        .filter(GrantCheck::isDesk)
        .toList();
  }

  @Test
  void everyMethodOfEveryDeskIsGranted() {
    assertThat(desks()).hasSizeGreaterThan(40);
    for (Class<?> desk : desks()) {
      assertThat(GrantCheck.ungranted(desk)).as(desk.getSimpleName()).isEmpty();
    }
  }

  /** A grant for a whole desk is for reading it; what changes something says so itself. */
  @Test
  void whatChangesSomethingIsGrantedByItself() {
    List<Method> writing =
        desks().stream()
            .flatMap(desk -> GrantCheck.callable(desk).stream())
            .filter(method -> Arrays.asList(method.getParameterTypes()).contains(Sent.class))
            .toList();
    assertThat(writing).hasSizeGreaterThan(60);
    for (Method method : writing) {
      assertThat(AnnotatedElementUtils.hasAnnotation(method, PreAuthorize.class))
          .as(method.getDeclaringClass().getSimpleName() + "." + method.getName())
          .isTrue();
    }
  }

  /** A desk that forgot one of its methods. */
  static final class ForgetfulDesk {
    @Allowed.ToSeeStore
    public String look() {
      return "";
    }

    public String take() {
      return "";
    }
  }

  @Test
  void aDeskWithoutAGrantDoesNotStart() {
    assertThat(GrantCheck.ungranted(ForgetfulDesk.class)).containsExactly("take");
    assertThatThrownBy(
            () -> new GrantCheck().postProcessAfterInitialization(new ForgetfulDesk(), "any"))
        .hasMessage("nobody is granted ForgetfulDesk.take");
  }
}
