package org.unrulymarble.server.disk;

import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration
class DiskConfig {

    /** Whether the data lies in a PostgreSQL, which looks after it, and not in a file of ours. */
    static final String ELSEWHERE = "#{'${spring.datasource.url}'.startsWith('jdbc:postgresql:')}";

    @Bean
    StoreFile storeFile(@Value("${marble.data}") Path folder, @Value("${marble.store}") String store) {
        return new StoreFile(folder, store);
    }

    @Bean
    Backups backups(StoreFile file, Clock clock) {
        return file.backups(System.getenv(), clock);
    }

    @Bean
    FreeSpace freeSpace() {
        return folder -> {
            FileStore disk = Files.getFileStore(folder);
            return new FreeSpace.Of(disk.getUsableSpace(), disk.getTotalSpace());
        };
    }
}
