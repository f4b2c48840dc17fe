package org.tidyleaf.web.review;

import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Question;
import org.tidyleaf.tidying.Decision;

/** The pictures in a question's text; each is named by its 0-based place there. */
@Controller
@RequestMapping("/leaf/{id}/question/{question}")
class PictureController {
    private final ReviewService reviews;
    private final PictureService pictures;

    PictureController(ReviewService reviews, PictureService pictures) {
        this.reviews = reviews;
        this.pictures = pictures;
    }

    @GetMapping("/pictures")
    String pictures(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        List<QuestionCard> cards = reviews.state(at).cards();
        List<Inline.Picture> shown = reviews.state(at)
                .leaf()
                .tidied()
                .question(question)
                .map(found -> pictures(found))
                .orElse(List.of());
        model.addAttribute("leaf", at.leaf());
        model.addAttribute("question", question);
        model.addAttribute(
                "number",
                cards.stream()
                        .filter(card -> card.id().equals(question))
                        .map(QuestionCard::number)
                        .findFirst()
                        .orElse(""));
        model.addAttribute("pictures", shown);
        model.addAttribute(
                "others",
                cards.stream().filter(card -> !card.id().equals(question)).toList());
        return "review/pictures :: pictures";
    }

    private static List<Inline.Picture> pictures(Question question) {
        return question.particulars().stem().pictures();
    }

    @PostMapping("/picture/{place}/words")
    String words(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @PathVariable int place,
            @RequestParam String alternative,
            Model model) {
        return pictures.describe(at, question, place, alternative.strip()).in(model);
    }

    @PostMapping("/picture/{place}/crop")
    String crop(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @PathVariable int place,
            @RequestParam int left,
            @RequestParam int top,
            @RequestParam int right,
            @RequestParam int bottom,
            Model model) {
        return pictures.crop(at, question, place, new PictureService.Margins(left, top, right, bottom))
                .in(model);
    }

    @PostMapping("/picture/{place}/file")
    String file(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @PathVariable int place,
            @RequestParam MultipartFile file,
            Model model)
            throws IOException {
        String name = file.getOriginalFilename() == null ? "This file" : file.getOriginalFilename();
        return pictures.replace(at, question, place, name, file.getBytes()).in(model);
    }

    @PostMapping("/picture/{place}/move")
    String move(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @PathVariable int place,
            @RequestParam String to,
            Model model) {
        return reviews.decide(at, new Decision.MovePicture(question, place, to)).in(model);
    }

    @PostMapping("/picture/{place}/remove")
    String remove(@ModelAttribute("at") At at, @PathVariable String question, @PathVariable int place, Model model) {
        return reviews.decide(at, new Decision.SetPicture(question, place, "", ""))
                .in(model);
    }
}
