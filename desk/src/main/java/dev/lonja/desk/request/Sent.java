package dev.lonja.desk.request;

/**
 * What every request that changes something brings along.
 *
 * @param key tells this request from any other; the same key again is the same request
 * @param content all that the client sent, as text
 */
public record Sent(String key, String content, String actor) {}
