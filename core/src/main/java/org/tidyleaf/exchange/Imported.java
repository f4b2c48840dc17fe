package org.tidyleaf.exchange;

import java.util.List;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.source.Figure;

/**
 * What came in from a package.
 *
 * @param remarks what was not understood, item by item, in words for the teacher
 */
public record Imported(Quiz quiz, List<Figure> figures, List<String> remarks) {}
