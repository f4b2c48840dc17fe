package org.tidyleaf.reading.line;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.source.Cell;

/**
 * "TRUE   if the statement agrees with the text" and below it "FALSE   if …": lines that say when to write which word. They
 * go on with the instruction above the statements.
 */
public final class JudgementLegends {

    /** The word, of two words perhaps, and behind a wide space, a sign or an "if" what it stands for. */
    private static final List<Pattern> ENTRIES = Stream.of("\\p{L}+", "\\p{L}+ \\p{L}+")
            .map(word ->
                    Pattern.compile("(" + word + ")(?:\\t|\\s{2,}|\\s?[=:\u2013-]\\s|\\s(?=\\p{Ll}))\\s*\\S+\\s.*"))
            .toList();

    private JudgementLegends() {}

    public static void mark(List<Cues> all) {
        inTables(all);
        for (int i = 0; i + 1 < all.size(); i++) {
            List<String> below = words(all.get(i + 1));
            boolean pair = words(all.get(i)).stream()
                    .anyMatch(first -> below.stream()
                            .anyMatch(second -> JudgedBy.in(first + " / " + second)
                                    .filter(judged -> judged.get(0).equalsIgnoreCase(first))
                                    .isPresent()));
            if (pair) {
                all.get(i).traits().add(Trait.LEGEND);
                all.get(i + 1).traits().add(Trait.LEGEND);
                boolean third =
                        i + 2 < all.size() && words(all.get(i + 2)).stream().anyMatch(JudgedBy::isNeither);
                if (third) {
                    all.get(i + 2).traits().add(Trait.LEGEND);
                }
            }
        }
    }

    /** The words in the first column, and beside each what it stands for. */
    private static void inTables(List<Cues> all) {
        for (int i = 0; i + 3 < all.size(); i++) {
            boolean pair = isEntry(all, i)
                    && isEntry(all, i + 2)
                    && JudgedBy.in(all.get(i).text() + " / " + all.get(i + 2).text())
                            .isPresent();
            if (pair) {
                boolean third = i + 5 < all.size()
                        && isEntry(all, i + 4)
                        && JudgedBy.isNeither(all.get(i + 4).text());
                for (int at = i; at < i + (third ? 6 : 4); at++) {
                    all.set(at, all.get(at).withoutLead());
                    all.get(at).traits().remove(Trait.JUDGEMENT_WORD);
                    all.get(at).traits().remove(Trait.LONE_JUDGEMENT);
                    all.get(at).traits().add(Trait.LEGEND);
                }
            }
        }
    }

    /** A word alone in its cell, and a meaning that begins small in the cell beside it. */
    private static boolean isEntry(List<Cues> all, int piece) {
        Optional<Cell> word = all.get(piece).line().layout().cell();
        Optional<Cell> meaning = all.get(piece + 1).line().layout().cell();
        return word.isPresent()
                && meaning.isPresent()
                && word.get().columns() == 2
                && word.get().column() == 0
                && meaning.get().column() == 1
                && meaning.get().row() == word.get().row()
                && all.get(piece).words().size() <= 2
                && all.get(piece + 1).is(Trait.STARTS_LOWER);
    }

    /** The words that a line may explain; empty where it has a label or a gap of its own. */
    private static List<String> words(Cues cues) {
        String text = cues.text().strip();
        if (!cues.labels().isEmpty() || cues.is(Trait.GAP) || cues.is(Trait.LONG)) {
            return List.of();
        }
        return ENTRIES.stream()
                .map(entry -> entry.matcher(text))
                .filter(Matcher::matches)
                .map(entry -> entry.group(1))
                .toList();
    }
}
