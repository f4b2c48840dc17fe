package org.tidyleaf.reading.check;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.Snag;
import org.tidyleaf.reading.cue.CrosswordClues;
import org.tidyleaf.reading.key.KeyGatherer;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.model.Drafts;
import org.tidyleaf.reading.model.GatheredKey;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Source;

/** Looks over what was read for what the teacher should see before publishing. */
public final class SnagFinder {

    private static final Pattern FIGURE_NAMED = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("figure") + "\\b");

    /** The answers of a question gap by gap; none for those without gaps. */
    private static final SomeCases<List<List<String>>> GAPS = new SomeCases<>() {
        @Override
        public List<List<String>> textEntry(TextEntry question) {
            return question.gaps();
        }

        @Override
        public List<List<String>> tableEntry(TableEntry question) {
            return question.gaps();
        }

        @Override
        public List<List<String>> pictureLabel(PictureLabel question) {
            return question.gaps();
        }

        @Override
        public List<List<String>> otherwise(Question question) {
            return List.of();
        }
    };

    private static final Pattern PRINTED_TOTAL = Pattern.compile("/\\s*(\\d{1,4})\\s*$");

    private final List<Snag> snags = new ArrayList<>();

    private SnagFinder() {}

    public static List<Snag> find(
            Source source, List<Assigned> roles, Drafts drafts, List<ReadQuestion> questions, List<GatheredKey> keys) {
        SnagFinder finder = new SnagFinder();
        for (int i = 0; i < questions.size(); i++) {
            finder.look(i + 1, drafts.questions().get(i), questions.get(i), keys.get(i));
        }
        finder.numbers(drafts);
        finder.total(roles, questions);
        DocumentSnags.find(source, roles, drafts, questions, finder.snags);
        return List.copyOf(finder.snags);
    }

    private void add(String kind, int question, Draft draft, String message) {
        snags.add(new Snag(kind, question, draft.firstLine(), message));
    }

    private void look(int place, Draft draft, ReadQuestion read, GatheredKey key) {
        if (!read.question().isKeyed()) {
            unkeyed(place, draft, read, key);
        }
        Prose stem = read.question().particulars().stem();
        boolean hasFigure = !stem.pictures().isEmpty() || draft.stimulus >= 0;
        if (!hasFigure && namesFigure(stem.plain())) {
            add(
                    "figure-absent",
                    place,
                    draft,
                    "The question speaks of a picture, but none was found. Add it, or change the text.");
        }
        key.conflict()
                .ifPresent(conflict -> add(
                        "keys-disagree", place, draft, "Two keys disagree: " + conflict + ". Choose the right one."));
        if (draft.stem.isEmpty() && draft.pictures.isEmpty() && draft.stimulus < 0) {
            add("empty-stem", place, draft, "The question has no text. Give it one, or join it to the line above.");
        }
        if (read.question() instanceof ChoiceQuestion choice) {
            options(place, draft, choice);
        }
    }

    private static boolean namesFigure(String text) {
        return Vocabulary.ALL.mentions(Words.of(text), "figure")
                && FIGURE_NAMED.matcher(text).find();
    }

    private void unkeyed(int place, Draft draft, ReadQuestion read, GatheredKey key) {
        List<List<String>> gaps = read.question().match(GAPS);
        boolean some = gaps.stream().anyMatch(gap -> !gap.isEmpty());
        if (some) {
            int first = gaps.indexOf(List.of()) + 1;
            add("gap-without-answer", place, draft, "Gap " + first + " has no answer. Type it here.");
        } else if (read.question() instanceof ChoiceQuestion && key.text().isPresent()) {
            String said = key.text().get();
            String start = said.length() > 40 ? said.substring(0, 40) + "\u2026" : said;
            add(
                    "answer-outside",
                    place,
                    draft,
                    "The key says \u201c" + start + "\u201d, but no option says that. Choose the right one here.");
        } else {
            add("missing-key", place, draft, "No right answer found for this one. Set it here.");
        }
    }

    private void options(int place, Draft draft, ChoiceQuestion choice) {
        if (choice.options().size() == 1) {
            add("one-option", place, draft, "There is only one option. Look whether the next lines belong here.");
        }
        boolean empty = choice.options().stream()
                .anyMatch(option ->
                        option.text().isEmpty() && option.text().pictures().isEmpty());
        if (empty) {
            add("empty-option", place, draft, "An option has no text. If a formula or a picture was lost, put it in.");
        }
        Set<String> seen = new HashSet<>();
        for (Option option : choice.options()) {
            boolean words = option.text().pictures().isEmpty() && !option.text().isEmpty();
            if (words && !seen.add(option.text().plain())) {
                add(
                        "duplicate-option",
                        place,
                        draft,
                        "Two options say the same: \u201c" + option.text().plain() + "\u201d.");
            }
        }
        for (int i = 0; i + 1 < draft.options.size(); i++) {
            String here = draft.options.get(i).label;
            String next = draft.options.get(i + 1).label;
            if (here.length() == 1 && next.length() == 1 && next.charAt(0) - here.charAt(0) > 1) {
                add(
                        "option-gap",
                        place,
                        draft,
                        "After " + here + " comes " + next + ". Look for the option between them.");
            }
        }
    }

    /** The number of the last pair, where pairs are numbered on like questions; else the question's own. */
    private static int lastNumber(Draft draft, int own) {
        int last = own;
        for (Cues cues : draft.pairs) {
            Matcher number = KeyGatherer.LEFT_NUMBER.matcher(cues.text());
            if (number.lookingAt() && number.group(1).matches("\\d+")) {
                int here = Integer.parseInt(number.group(1));
                if (last == own && here != own && here != own + 1) {
                    // They count by themselves.
                    return own;
                }
                last += here == last + 1 ? 1 : 0;
            }
        }
        // A single number is that of a target left over.
        return last > own + 1 ? last : own;
    }

    /** The next section counts from 1 again, even where the one above has a single question. */
    private static boolean beginsAnew(Draft above, Draft here) {
        return here.section != above.section && here.number.equals("1");
    }

    /** "6 Write a note." below the questions of "5 Read the text.": exercises that are heads count as well. */
    private static boolean countsOnFromHead(Drafts drafts, Draft above, int number) {
        return above.section >= 0
                && drafts.sections()
                        .get(above.section)
                        .title()
                        .matches("\\W*(?:\\p{L}+\\.?\\s)?" + (number - 1) + "(?!\\d).*");
    }

    private void numbers(Drafts all) {
        List<Draft> drafts = all.questions();
        for (int i = 1; i < drafts.size(); i++) {
            String above = drafts.get(i - 1).number;
            String here = drafts.get(i).number;
            boolean counted = above.matches("\\d{1,4}")
                    && here.matches("\\d{1,4}")
                    // Clues leave out the numbers of the other list.
                    && !CrosswordClues.isOne(drafts.get(i))
                    && !CrosswordClues.isOne(drafts.get(i - 1));
            if (counted) {
                int step = Integer.parseInt(here) - lastNumber(drafts.get(i - 1), Integer.parseInt(above));
                if (step > 1 && !countsOnFromHead(all, drafts.get(i - 1), Integer.parseInt(here))) {
                    add(
                            "number-gap",
                            i + 1,
                            drafts.get(i),
                            "After " + above + " comes " + here + ". Look whether a question is missing between them.");
                } else if (step == 0
                        && !beginsAnew(drafts.get(i - 1), drafts.get(i))
                        && !countsOnFromHead(all, drafts.get(i - 1), Integer.parseInt(here))) {
                    add("number-repeat", i + 1, drafts.get(i), "The number " + here + " stands here twice.");
                }
            }
        }
    }

    /** "Score: ____ / 25": the printed total against the sum of what each question says. */
    private void total(List<Assigned> roles, List<ReadQuestion> questions) {
        List<BigDecimal> points = questions.stream()
                .flatMap(read -> read.question().particulars().points().stream())
                .toList();
        boolean unsaid = points.isEmpty();
        if (questions.isEmpty() || !unsaid && points.size() < questions.size()) {
            return;
        }
        BigDecimal sum = unsaid
                ? BigDecimal.valueOf(questions.size())
                : points.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
        long totals = roles.stream()
                .filter(piece -> piece.cues().is(Cues.Trait.FILL_IN))
                .filter(piece -> PRINTED_TOTAL.matcher(piece.cues().text()).find())
                .count();
        // Several small tests in one document have a total each.
        for (Assigned piece : totals > 1 ? List.<Assigned>of() : roles) {
            Matcher matcher = PRINTED_TOTAL.matcher(piece.cues().text());
            // "Marks: ____ / 5" below one question is said of that one.
            boolean differs = piece.step().role() != Role.POINTS
                    && piece.cues().is(Cues.Trait.FILL_IN)
                    && matcher.find()
                    && new BigDecimal(matcher.group(1)).compareTo(sum) != 0;
            if (differs) {
                snags.add(new Snag(
                        "points-total",
                        0,
                        piece.cues().line().number(),
                        unsaid
                                ? "The paper says " + matcher.group(1) + " points, but no question says how many."
                                        + " Share them out, or set them."
                                : "The paper says " + matcher.group(1) + " points, the questions add up to "
                                        + sum.stripTrailingZeros().toPlainString() + ". Look which is right."));
            }
        }
    }
}
