package org.tidyleaf.web.desk;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.ReadingJobs;

/** Takes new tests in: keeps each and queues it for reading, both or neither. */
@Service
public class DeskService {
    private final LeafService leaves;
    private final ReadingJobs jobs;

    DeskService(LeafService leaves, ReadingJobs jobs) {
        this.leaves = leaves;
        this.jobs = jobs;
    }

    @Transactional
    public UUID drop(UUID owner, String fileName, byte[] bytes) {
        UUID leaf = leaves.add(owner, bare(fileName), bytes);
        jobs.queue(leaf);
        return leaf;
    }

    @Transactional
    public UUID paste(UUID owner, String text) {
        return drop(owner, "pasted text.txt", text.getBytes(StandardCharsets.UTF_8));
    }

    /** Some browsers send the whole path of a file. */
    private static String bare(String fileName) {
        String name = fileName.substring(Math.max(fileName.lastIndexOf('/'), fileName.lastIndexOf('\\')) + 1);
        return name.isBlank() ? "unnamed" : name;
    }
}
