package dev.lonja.app.server;

import com.github.benmanes.caffeine.cache.Caffeine;
import dev.lonja.desk.answer.KeptAnswer;
import java.time.Duration;
import org.springframework.cache.CacheManager;
import org.springframework.cache.annotation.EnableCaching;
import org.springframework.cache.caffeine.CaffeineCacheManager;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where desks keep their answers: a few hundred pages' worth, the latest asked for. */
@Configuration
@EnableCaching
class AnswerConfiguration {

  private static final int MOST_ANSWERS = 300;
  private static final Duration LONGEST = Duration.ofMinutes(10);

  @Bean
  CacheManager answers() {
    CaffeineCacheManager manager = new CaffeineCacheManager(KeptAnswer.CACHE);
    manager.setCaffeine(Caffeine.newBuilder().maximumSize(MOST_ANSWERS).expireAfterWrite(LONGEST));
    return manager;
  }
}
