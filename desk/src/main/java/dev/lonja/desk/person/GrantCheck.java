package dev.lonja.desk.person;

import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.Arrays;
import java.util.List;
import org.springframework.aop.support.AopUtils;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Component;

/**
 * Denied unless granted: a desk with a method that says nothing of who may call it stops the start.
 */
@Component
public class GrantCheck implements BeanPostProcessor {

  private static final List<String> ENDINGS = List.of("Desk", "Pages");

  @Override
  public Object postProcessAfterInitialization(Object bean, String name) {
    Class<?> type = AopUtils.getTargetClass(bean);
    if (isDesk(type)) {
      List<String> without = ungranted(type);
      if (!without.isEmpty()) {
        throw new IllegalStateException(
            "nobody is granted " + type.getSimpleName() + "." + String.join(", ", without));
      }
    }
    return bean;
  }

  /** True for the classes that hold what may be done. */
  public static boolean isDesk(Class<?> type) {
    return type.getPackageName().startsWith("dev.lonja.")
        && ENDINGS.stream().anyMatch(type.getSimpleName()::endsWith);
  }

  /** The methods of a desk that others can call and that no grant stands on. */
  public static List<String> ungranted(Class<?> desk) {
    boolean whole = isGranted(desk);
    return callable(desk).stream()
        .filter(method -> !whole && !isGranted(method))
        .map(Method::getName)
        .distinct()
        .sorted()
        .toList();
  }

  /** The methods of a desk that others can call. */
  public static List<Method> callable(Class<?> desk) {
    return Arrays.stream(desk.getDeclaredMethods())
        .filter(method -> !method.isSynthetic())
        .filter(method -> !Modifier.isPrivate(method.getModifiers()))
        .filter(method -> !Modifier.isStatic(method.getModifiers()))
        .toList();
  }

  private static boolean isGranted(AnnotatedElement element) {
    return AnnotatedElementUtils.hasAnnotation(element, PreAuthorize.class);
  }
}
