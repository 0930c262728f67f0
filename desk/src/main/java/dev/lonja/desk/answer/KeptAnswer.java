package dev.lonja.desk.answer;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.cache.annotation.Cacheable;

/**
 * On a method of a desk that only reads: what it answered is answered again until something is
 * written to the store or the day changes. Whoever asks is checked each time, and those who see no
 * money have answers of their own. What it is asked with must be values, and the answer must depend
 * on nothing else, not on the time of day; it is shared, so it must never change.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@Documented
@Cacheable(cacheNames = KeptAnswer.CACHE, keyGenerator = KeptAnswer.QUESTION, sync = true)
public @interface KeptAnswer {

  /** The name of the cache that the application gives. */
  String CACHE = "answers";

  /** The name of the bean that says what is asked. */
  String QUESTION = "question";
}
