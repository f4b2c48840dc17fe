package org.tidyleaf.reading.draft;

import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;

/** The title within the line that holds it. */
final class PaperTitle {

    private static final Pattern DASH = Pattern.compile("\\s+[-\u2013\u2014|\u00b7:]\\s+");

    /** A school stands among the first lines of a paper. */
    private static final int FIRST_LINES = 4;

    /** "Bees: review sheet        Name: ________". */
    private static final Pattern BEFORE_FIELD =
            Pattern.compile("([^:_]*\\p{L}{2}[^_]*?)(?:\\t+\\s*|\\s{3,})\\p{Lu}[\\p{L} ]{1,20}:?\\s*[_.\u2026]{3,}.*");

    private static final int FEWEST_WORDS = 2;

    private PaperTitle() {}

    /**
     * Where nothing else is a title: what stands beside the school's name, or beside a field, or heads the passage that a paper
     * begins with; empty where nothing does.
     */
    static String elsewhere(List<Assigned> roles) {
        return Stream.of(besideSchool(roles), besideField(roles), overPassage(roles))
                .filter(title -> !title.isEmpty())
                .findFirst()
                .orElse("");
    }

    private static String overPassage(List<Assigned> roles) {
        return roles.stream()
                .limit(1)
                .filter(piece -> piece.step().role() == Role.STIMULUS
                        && piece.cues().is(Trait.HEADING)
                        && !piece.cues().is(Trait.PASSAGE_WORD))
                .map(piece -> in(piece.cues().text()))
                .findFirst()
                .orElse("");
    }

    /** What stands on one of the first lines before a field to fill in. */
    private static String besideField(List<Assigned> roles) {
        return roles.subList(0, Math.min(FIRST_LINES, roles.size())).stream()
                .filter(piece ->
                        piece.step().role() == Role.ASIDE && piece.cues().is(Trait.FILL_IN))
                .map(piece -> BEFORE_FIELD.matcher(piece.cues().text()))
                .filter(field -> field.matches()
                        && field.group(1).strip().split("\\s+").length >= FEWEST_WORDS
                        && !field.group(1).strip().endsWith(":")
                        && GapSigns.count(field.group(1)) == 0)
                .map(field -> field.group(1).strip())
                .findFirst()
                .orElse("");
    }

    /** "Wrenfield College – Keeping Bees – Item bank": what stands behind the school's name. */
    private static String besideSchool(List<Assigned> roles) {
        for (Assigned piece : roles.subList(0, Math.min(FIRST_LINES, roles.size()))) {
            Cues cues = piece.cues();
            boolean head = piece.step().role() == Role.ASIDE
                    && cues.is(Trait.SCHOOL_WORD)
                    && (cues.is(Trait.BOLD) || cues.is(Trait.CENTERED) || cues.is(Trait.HEADING));
            List<String> others = Stream.of(DASH.split(cues.text().strip()))
                    .filter(part -> !Vocabulary.ALL.mentions(Words.of(part), "school_word"))
                    .toList();
            if (head && !others.isEmpty()) {
                return String.join(" \u2013 ", others);
            }
        }
        return "";
    }

    /** What stands far behind a title is no part of it, unless it is the title itself and before it stands whose paper it is. */
    static String in(String text) {
        String[] parts = text.strip()
                .split("\\t+|\\s{4,}|\\s{3}(?=\\p{L}*:?\\s*\\d|\\p{L}{2,14}:\\s)|\\s+\\|\\s+(?=\\S+:?\\s*_)");
        boolean school = parts.length == 2
                && Vocabulary.ALL.mentions(Words.of(parts[0]), "school_word")
                && Vocabulary.ALL.mentions(Words.of(parts[1]), "test_word");
        return school ? parts[1] : parts[0];
    }
}
