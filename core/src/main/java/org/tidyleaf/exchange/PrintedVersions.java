package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Optional;
import java.util.function.Function;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.shuffling.Shuffling;
import org.tidyleaf.source.Figure;

/** Several shuffled versions of one printed test, each with a key of its own, in one archive. */
public final class PrintedVersions {

    /** One for each letter. */
    public static final int MOST = 26;

    private PrintedVersions() {}

    /**
     * Writes "Version A.docx", "Version A with key.docx" and so on, and leaves the stream open.
     *
     * @param count how many versions, 1 to {@link #MOST}
     * @param seed the same gives the same versions
     */
    public static void write(
            Paper paper, Quiz quiz, int count, long seed, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        if (count < 1 || count > MOST) {
            throw new IllegalArgumentException("between 1 and " + MOST + " versions, not " + count);
        }
        SteadyZip zip = new SteadyZip(out);
        for (int i = 0; i < count; i++) {
            char letter = (char) ('A' + i);
            Quiz version = Shuffling.version(quiz, seed + i).withTitle(quiz.title() + " \u2013 Version " + letter);
            for (boolean keyed : new boolean[] {false, true}) {
                zip.entry(
                        "Version " + letter + (keyed ? " with key" : "") + paper.ending(),
                        file -> PrintedTest.write(paper, version, keyed, figures, file));
            }
        }
        zip.finish();
    }
}
