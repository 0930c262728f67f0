package dev.lonja.app.server;

import com.github.benmanes.caffeine.cache.Caffeine;
import dev.lonja.desk.answer.KeptAnswer;
import java.time.Duration;
import org.springframework.aop.Advisor;
import org.springframework.aop.ClassFilter;
import org.springframework.aop.support.ComposablePointcut;
import org.springframework.aop.support.DefaultPointcutAdvisor;
import org.springframework.aop.support.annotation.AnnotationMatchingPointcut;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.cache.CacheManager;
import org.springframework.cache.annotation.AnnotationCacheOperationSource;
import org.springframework.cache.caffeine.CaffeineCacheManager;
import org.springframework.cache.interceptor.CacheInterceptor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Role;

/** Where desks keep their answers: a few hundred pages' worth, the latest asked for. */
@Configuration
class AnswerConfiguration {

  private static final int MOST_ANSWERS = 300;
  private static final Duration LONGEST = Duration.ofMinutes(10);

  @Bean
  CacheManager answers() {
    CaffeineCacheManager manager = new CaffeineCacheManager(KeptAnswer.CACHE);
    manager.setCaffeine(Caffeine.newBuilder().maximumSize(MOST_ANSWERS).expireAfterWrite(LONGEST));
    return manager;
  }

  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static CacheInterceptor keeper() {
    CacheInterceptor keeper = new CacheInterceptor();
    keeper.setCacheOperationSource(new AnnotationCacheOperationSource());
    return keeper;
  }

  /** Only desks keep answers, so nothing else is searched for them when the server starts. */
  @Bean
  @Role(BeanDefinition.ROLE_INFRASTRUCTURE)
  static Advisor kept(CacheInterceptor keeper) {
    ClassFilter desks = type -> type.getName().startsWith("dev.lonja.desk.");
    return new DefaultPointcutAdvisor(
        new ComposablePointcut(desks)
            .intersection(new AnnotationMatchingPointcut(null, KeptAnswer.class, true)),
        keeper);
  }
}
