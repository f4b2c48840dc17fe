package org.tidyleaf.web.sitting;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.marking.MarkRules;
import org.tidyleaf.question.PartialMarks;

/** The rules as the publish page sends them; times are those of the school's clock. */
class RulesForm {

    /** Longer than a day is no time limit. */
    private static final int MOST_MINUTES = 24 * 60;

    private static final int MOST_ATTEMPTS = 20;
    private static final int LONGEST_WORD = 60;
    private static final int LONGEST_INSTRUCTIONS = 4000;

    @Nullable
    private String opens;

    @Nullable
    private String closes;

    @Nullable
    private String minutes;

    private boolean shuffleQuestions;
    private boolean shuffleOptions;
    private boolean oneByOne;
    private boolean back;
    private Rules.Show marks = Rules.USUAL.marks();
    private Rules.Show answers = Rules.USUAL.answers();
    private String word = "";
    private String instructions = "";
    private String attempts = "1";
    private boolean best;
    private String people = "";
    private PartialMarks parts = PartialMarks.USUAL;
    private boolean neighbours;
    private boolean noAccents;
    private boolean slips;

    /**
     * The rules, where everything in them makes sense.
     *
     * @param faults collects what does not, in words for the teacher
     */
    Optional<Rules> rules(ZoneId zone, List<String> faults) {
        List<String> found = new ArrayList<>();
        Optional<Instant> from = time(opens, "The opening time", zone, found);
        Optional<Instant> to = time(closes, "The closing time", zone, found);
        if (from.isPresent() && to.isPresent() && !from.get().isBefore(to.get())) {
            found.add("It would close before it opens. Choose a later closing time.");
        }
        int limit = number(minutes, 0, 0, MOST_MINUTES, "The time limit", found);
        int tries = number(attempts, 1, 1, MOST_ATTEMPTS, "The number of attempts", found);
        faults.addAll(found);
        return found.isEmpty()
                ? Optional.of(new Rules(
                        from,
                        to,
                        limit,
                        shuffleQuestions,
                        shuffleOptions,
                        oneByOne,
                        !oneByOne || back,
                        marks,
                        answers,
                        cut(word, LONGEST_WORD),
                        cut(instructions, LONGEST_INSTRUCTIONS),
                        tries,
                        best,
                        new MarkRules(parts, neighbours, !noAccents, slips)))
                : Optional.empty();
    }

    private static String cut(String text, int most) {
        return text.strip().substring(0, Math.min(most, text.strip().length()));
    }

    private static Optional<Instant> time(@Nullable String text, String name, ZoneId zone, List<String> faults) {
        if (text == null || text.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDateTime.parse(text).atZone(zone).toInstant());
        } catch (DateTimeException unreadable) {
            faults.add(name + " is no date and time. Write it as 2027-03-01T09:00.");
            return Optional.empty();
        }
    }

    private static int number(@Nullable String text, int usual, int least, int most, String name, List<String> faults) {
        if (text == null || text.isBlank()) {
            return usual;
        }
        int value = text.strip().matches("\\d{1,6}") ? Integer.parseInt(text.strip()) : -1;
        if (value < least || value > most) {
            faults.add(name + " has to be a whole number from " + least + " to " + most + ".");
        }
        return value;
    }

    String people() {
        return people;
    }

    public void setOpens(String opens) {
        this.opens = opens;
    }

    public void setCloses(String closes) {
        this.closes = closes;
    }

    public void setMinutes(String minutes) {
        this.minutes = minutes;
    }

    public void setShuffleQuestions(boolean shuffleQuestions) {
        this.shuffleQuestions = shuffleQuestions;
    }

    public void setShuffleOptions(boolean shuffleOptions) {
        this.shuffleOptions = shuffleOptions;
    }

    public void setOneByOne(boolean oneByOne) {
        this.oneByOne = oneByOne;
    }

    public void setBack(boolean back) {
        this.back = back;
    }

    public void setMarks(Rules.Show marks) {
        this.marks = marks;
    }

    public void setAnswers(Rules.Show answers) {
        this.answers = answers;
    }

    public void setWord(String word) {
        this.word = word;
    }

    public void setInstructions(String instructions) {
        this.instructions = instructions;
    }

    public void setAttempts(String attempts) {
        this.attempts = attempts;
    }

    public void setBest(boolean best) {
        this.best = best;
    }

    public void setParts(PartialMarks parts) {
        this.parts = parts;
    }

    public void setNeighbours(boolean neighbours) {
        this.neighbours = neighbours;
    }

    public void setNoAccents(boolean noAccents) {
        this.noAccents = noAccents;
    }

    public void setSlips(boolean slips) {
        this.slips = slips;
    }

    public void setPeople(String people) {
        this.people = people;
    }
}
