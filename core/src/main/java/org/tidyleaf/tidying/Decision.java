package org.tidyleaf.tidying;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Settings;
import org.tidyleaf.reading.Pins;
import org.tidyleaf.reading.Role;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Sorted;

/** One thing the teacher decided. Questions are named by their id, lines by their 1-based number. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = Decision.Take.class, name = "take"),
    @JsonSubTypes.Type(value = Decision.PinLines.class, name = "pin-lines"),
    @JsonSubTypes.Type(value = Decision.PinWords.class, name = "pin-words"),
    @JsonSubTypes.Type(value = Decision.EditStem.class, name = "edit-stem"),
    @JsonSubTypes.Type(value = Decision.EditOption.class, name = "edit-option"),
    @JsonSubTypes.Type(value = Decision.SetKey.class, name = "set-key"),
    @JsonSubTypes.Type(value = Decision.SetAnswer.class, name = "set-answer"),
    @JsonSubTypes.Type(value = Decision.ChangeType.class, name = "change-type"),
    @JsonSubTypes.Type(value = Decision.EditParts.class, name = "edit-parts"),
    @JsonSubTypes.Type(value = Decision.AddSection.class, name = "add-section"),
    @JsonSubTypes.Type(value = Decision.SetPoints.class, name = "set-points"),
    @JsonSubTypes.Type(value = Decision.SetAllPoints.class, name = "set-all-points"),
    @JsonSubTypes.Type(value = Decision.SetUp.class, name = "set-up"),
    @JsonSubTypes.Type(value = Decision.Assign.class, name = "assign"),
    @JsonSubTypes.Type(value = Decision.SetPicture.class, name = "set-picture"),
    @JsonSubTypes.Type(value = Decision.MovePicture.class, name = "move-picture"),
    @JsonSubTypes.Type(value = Decision.EditSection.class, name = "edit-section"),
    @JsonSubTypes.Type(value = Decision.EditPassage.class, name = "edit-passage"),
    @JsonSubTypes.Type(value = Decision.SetOptions.class, name = "set-options"),
    @JsonSubTypes.Type(value = Decision.Add.class, name = "add"),
    @JsonSubTypes.Type(value = Decision.Duplicate.class, name = "duplicate"),
    @JsonSubTypes.Type(value = Decision.Move.class, name = "move"),
    @JsonSubTypes.Type(value = Decision.Merge.class, name = "merge"),
    @JsonSubTypes.Type(value = Decision.Delete.class, name = "delete"),
    @JsonSubTypes.Type(value = Decision.BackTo.class, name = "back-to"),
    @JsonSubTypes.Type(value = Decision.Rename.class, name = "rename"),
    @JsonSubTypes.Type(value = Decision.Dismiss.class, name = "dismiss"),
    @JsonSubTypes.Type(value = Decision.Several.class, name = "several"),
    @JsonSubTypes.Type(value = Decision.Undo.class, name = "undo"),
    @JsonSubTypes.Type(value = Decision.Redo.class, name = "redo")
})
public sealed interface Decision {

    /** What was done, in a few words for a notice or a list. */
    String inWords();

    /** A role as the review's buttons call it. */
    private static String called(Role role) {
        return switch (role) {
            case STIMULUS -> "passage";
            case STEM -> "question";
            case FEEDBACK -> "explanation";
            default -> role.label();
        };
    }

    /** Begins with a test that came in whole, from a package for example; nothing of the source is read into it. */
    record Take(Quiz quiz) implements Decision {
        @Override
        public String inWords() {
            return "taken over as it came";
        }
    }

    /** A pin: these lines have that role; with {@code more} each goes on from the line above it. */
    record PinLines(List<Integer> lines, Role role, boolean more) implements Decision {
        /** What may run over several lines: of those drawn over at once, further ones go on unless they begin anew. */
        private static final Set<Role> RUNNING =
                EnumSet.of(Role.STEM, Role.STIMULUS, Role.INSTRUCTION, Role.FEEDBACK, Role.HINT);

        public PinLines {
            lines = List.copyOf(lines);
        }

        Pins.Pin pinOf(int line) {
            boolean further = !more && RUNNING.contains(role) && lines.contains(line - 1);
            return further ? Pins.Pin.further(role) : new Pins.Pin(role, more);
        }

        @Override
        public String inWords() {
            String which = lines.size() == 1 ? "line " + lines.get(0) : lines.size() + " lines";
            return which
                    + (more
                            ? " joined to the line above"
                            : role == Role.ASIDE ? " set aside" : " read as " + called(role));
        }
    }

    /** A pin of words within a line. */
    record PinWords(Segment words, Role role) implements Decision {
        @Override
        public String inWords() {
            return "words of line " + words.line() + (role == Role.ASIDE ? " set aside" : " read as " + called(role));
        }
    }

    /** New text of a stem, as a teacher types it. */
    record EditStem(String question, String text) implements Decision {
        @Override
        public String inWords() {
            return "question text changed";
        }
    }

    /** New text of the option at a 0-based place. */
    record EditOption(String question, int option, String text) implements Decision {
        @Override
        public String inWords() {
            return "option " + (option + 1) + " changed";
        }
    }

    /** The 0-based places of all right options. */
    record SetKey(String question, Set<Integer> key) implements Decision {
        public SetKey {
            key = Sorted.copy(key);
        }

        @Override
        public String inWords() {
            return "key set";
        }
    }

    /**
     * What is right where there are no options: accepted spellings, a line for each gap and a slash between spellings; or
     * a number with tolerance and unit; or a model answer.
     */
    record SetAnswer(String question, String text) implements Decision {
        @Override
        public String inWords() {
            return "answer set";
        }
    }

    /** New texts of a question's parts beside its stem: for each side of {@link Parts} a line for each part. */
    record EditParts(String question, List<List<String>> sides) implements Decision {
        public EditParts {
            sides = sides.stream().map(List::copyOf).toList();
        }

        @Override
        public String inWords() {
            return "parts changed";
        }
    }

    /** A new section behind the others, with these questions in it. */
    record AddSection(String title, List<String> questions) implements Decision {
        public AddSection {
            questions = List.copyOf(questions);
        }

        @Override
        public String inWords() {
            return "section “" + title + "” added";
        }
    }

    record ChangeType(String question, QuestionType type) implements Decision {
        @Override
        public String inWords() {
            return "type changed";
        }
    }

    record SetPoints(String question, BigDecimal points) implements Decision {
        @Override
        public String inWords() {
            return "points set";
        }
    }

    record SetAllPoints(BigDecimal points) implements Decision {
        @Override
        public String inWords() {
            return points.toPlainString() + " points for every question";
        }
    }

    /** How a question is filed and given. */
    record SetUp(String question, Settings settings) implements Decision {
        @Override
        public String inWords() {
            return "question set up";
        }
    }

    /** A question belongs to the section at a 0-based place, and stands behind that section's last question. */
    record Assign(String question, int section) implements Decision {
        @Override
        public String inWords() {
            return "question put in another section";
        }
    }

    /**
     * The picture at a 0-based place of one of a question's texts becomes another, or gets another description; at the
     * place behind the last one a picture is added; an empty figure takes it out.
     *
     * @param part which of its {@link PictureTexts}
     * @param figure its id in the leaf
     * @param alternative what it shows, for those who can't see it
     */
    record SetPicture(String question, int part, int place, String figure, String alternative) implements Decision {
        @Override
        public String inWords() {
            return figure.isEmpty() ? "picture taken out" : "picture changed";
        }
    }

    /**
     * The picture at a 0-based place of one of a question's texts goes to the end of another text, of the same question or
     * another.
     *
     * @param part which of its {@link PictureTexts}
     * @param toPart likewise, of the question it goes to
     */
    record MovePicture(String question, int part, int place, String to, int toPart) implements Decision {
        @Override
        public String inWords() {
            return question.equals(to) ? "picture moved" : "picture moved to another question";
        }
    }

    /** New heading and instructions of the section at a 0-based place. */
    record EditSection(int section, String title, String instructions) implements Decision {
        @Override
        public String inWords() {
            return "section changed";
        }
    }

    /** New text of the passage at a 0-based place. */
    record EditPassage(int passage, String text) implements Decision {
        @Override
        public String inWords() {
            return "passage changed";
        }
    }

    /**
     * The options as they are to be, in order: old ones by their 0-based place, which keeps their key and feedback, new
     * ones with the place -1.
     */
    record SetOptions(String question, List<Kept> options) implements Decision {
        public SetOptions {
            options = List.copyOf(options);
        }

        /** An option and where it was. */
        public record Kept(int from, String text) {}

        @Override
        public String inWords() {
            return "options changed";
        }
    }

    /**
     * A question made by hand.
     *
     * @param id its own, new
     * @param after the question it stands behind, or empty to stand first
     */
    record Add(String id, String after, QuestionType type) implements Decision {
        @Override
        public String inWords() {
            return "question added";
        }
    }

    /** The same question once more, right behind it. */
    record Duplicate(String question, String id) implements Decision {
        @Override
        public String inWords() {
            return "question copied";
        }
    }

    /** A question goes so many places down, or up where negative. */
    record Move(String question, int by) implements Decision {
        @Override
        public String inWords() {
            return by < 0 ? "question moved up" : "question moved down";
        }
    }

    /** A question becomes part of the one above it: its text behind that one's text, its options behind those. */
    record Merge(String question) implements Decision {
        @Override
        public String inWords() {
            return "question joined to the one above";
        }
    }

    record Delete(String question) implements Decision {
        @Override
        public String inWords() {
            return "question deleted";
        }
    }

    record Rename(String title) implements Decision {
        @Override
        public String inWords() {
            return "renamed";
        }
    }

    /**
     * A snag looked at and found to be none.
     *
     * @param reason why, in the teacher's words, or empty
     */
    record Dismiss(String snag, int line, String reason) implements Decision {
        public Dismiss {
            // Decisions stored before there were reasons have none.
            reason = reason == null ? "" : reason;
        }

        @Override
        public String inWords() {
            return reason.isEmpty() ? "snag dismissed" : "snag dismissed: " + reason;
        }
    }

    /** Decisions made at once, undone at once. */
    record Several(List<Decision> parts) implements Decision {
        public Several {
            parts = List.copyOf(parts);
        }

        @Override
        public String inWords() {
            return parts.size() == 1 ? parts.get(0).inWords() : "question changed";
        }
    }

    /** Back to where only the first so many decisions held; those after them can be redone one by one. */
    record BackTo(int kept) implements Decision {
        @Override
        public String inWords() {
            return "gone back";
        }
    }

    /** Takes the last decision in force out of force. */
    record Undo() implements Decision {
        @Override
        public String inWords() {
            return "undone";
        }
    }

    /** Puts the decision undone last back in force. */
    record Redo() implements Decision {
        @Override
        public String inWords() {
            return "done again";
        }
    }
}
