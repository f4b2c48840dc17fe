package org.tidyleaf.web.publish;

import java.time.Instant;
import java.util.UUID;
import org.tidyleaf.question.Quiz;

/**
 * A published, frozen state of a leaf.
 *
 * @param number counted from 1 within its leaf
 */
public record Edition(UUID id, UUID leaf, int number, Quiz quiz, Instant publishedAt) {}
