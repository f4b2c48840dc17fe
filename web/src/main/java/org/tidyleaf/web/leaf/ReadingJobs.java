package org.tidyleaf.web.leaf;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.context.SmartLifecycle;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;

/** Reads leaves in the background, from a queue in the database: a restart forgets none, a second node takes its share. */
@Component
public class ReadingJobs implements SmartLifecycle {

    /** As many at once as the machines we aim at have cores. */
    private static final int THREADS = 2;

    private static final Duration POLLING = Duration.ofSeconds(1);

    private final OneTimeTask<String> readLeaf;
    private final Scheduler scheduler;
    private final SchedulerClient client;
    private final Clock clock;

    ReadingJobs(DataSource dataSource, LeafService leaves, Clock clock) {
        this.clock = clock;
        this.readLeaf = Tasks.oneTime("read-leaf", String.class).execute((instance, context) -> {
            UUID id = UUID.fromString(instance.getId());
            if (leaves.begin(id)) {
                leaves.read(id);
            }
        });
        this.scheduler = Scheduler.create(dataSource, readLeaf)
                .threads(THREADS)
                .pollingInterval(POLLING)
                .enableImmediateExecution()
                .build();
        // Queued with the leaf or not at all: the client takes part in the caller's transaction.
        this.client = SchedulerClient.Builder.create(new TransactionAwareDataSourceProxy(dataSource), readLeaf)
                .build();
    }

    /** Puts a leaf in the queue. */
    public void queue(UUID leaf) {
        client.scheduleIfNotExists(readLeaf.instance(leaf.toString(), ""), clock.instant());
        scheduler.triggerCheckForDueExecutions();
    }

    @Override
    public void start() {
        scheduler.start();
    }

    @Override
    public void stop() {
        scheduler.stop();
    }

    @Override
    public boolean isRunning() {
        return scheduler.getSchedulerState().isStarted();
    }
}
