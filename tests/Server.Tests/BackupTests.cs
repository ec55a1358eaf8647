using System.Diagnostics;
using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Dapper;
using FaithfulBracket.Store;
using FaithfulBracket.Store.Backups;
using Microsoft.Data.Sqlite;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>
/// Backups that are read back, spoilt ones that are refused, a restored shop equal to the last row, and the doctor's
/// look.
/// </summary>
public sealed class BackupTests : IDisposable
{
    private readonly string _folder = Directory.CreateTempSubdirectory("fb-keep-").FullName;

    public void Dispose() => Directory.Delete(_folder, recursive: true);

    private string At(string name) => Path.Combine(_folder, name);

    private static readonly byte[] Picture = Convert.FromBase64String(
        "iVBORw0KGgoAAAANSUhEUgAAAAoAAAAKCAIAAAACUFjqAAAAn0lEQVR4nBXOQRUAUQhCUUMQwhCGeCEMYQhCGMKA88ftPSAR"
            + "gYIMKiDoYAIHG1wQISRSlEC0GGGx4vQ4UZJJJSSdTOJkk8vHhYosqqDoYgoXW1w9/itf7NF/DQOGhXtjolGTTfWP3UzjZpvr"
            + "x4OGHGr+YA8zeNjh5rGRSVP+S9uMsVlzfrxoyaX2f9jLLF52uX186Mij7h/Txxw+9rjjA/byZZGvBX4rAAAAAElFTkSuQmCC"
    );

    private static async Task PhotoAsync(ServerProcess server, long job)
    {
        using var content = new ByteArrayContent(Picture);
        content.Headers.ContentType = new("image/png");
        var answer = await server.Http.PostAsync($"/api/jobs/{job}/photos?by=QA", content);
        Assert.True(answer.IsSuccessStatusCode, await answer.Content.ReadAsStringAsync());
    }

    private static (int Code, string Said) Run(params string[] arguments)
    {
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, RedirectStandardError = true };
        foreach (var a in (string[])[ServerProcess.Dll, .. arguments])
            start.ArgumentList.Add(a);
        using var process = Process.Start(start)!;
        var error = process.StandardError.ReadToEndAsync();
        var said = process.StandardOutput.ReadToEnd();
        process.WaitForExit();
        return (process.ExitCode, said + error.Result);
    }

    private static IReadOnlyList<TableDigest> Rows(string data)
    {
        using var c = new SqliteConnection($"Data Source={Path.Combine(data, "shop.db")};Mode=ReadOnly;Pooling=False");
        c.Open();
        return RowDigests.Compute(c);
    }

    [Fact]
    public async Task A_backup_restored_into_an_empty_folder_equals_the_shop_to_the_last_row_and_picture()
    {
        using var server = new ServerProcess();
        var job = await server.OpenAsync();
        await PhotoAsync(server, job);
        Assert.Equal(HttpStatusCode.OK, (await server.SignAsync(job, "match.label")).StatusCode);
        await server.CalculatedAsync();
        var (code, said) = Run("--data", server.Data, "--backup", At("shop.zip"));
        Assert.True(code == 0, said);
        server.Kill();
        Assert.Equal(0, Run("--data", At("new"), "--restore", At("shop.zip")).Code);
        Assert.Equal(Rows(server.Data), Rows(At("new")));
        Assert.Equal(
            Directory.GetFiles(Path.Combine(server.Data, "photos")).Select(Path.GetFileName).Order(),
            Directory.GetFiles(Path.Combine(At("new"), "photos")).Select(Path.GetFileName).Order()
        );
        // and work goes on in it
        using var again = new ServerProcess(At("new"), demo: false);
        Assert.True((await again.JobAsync(job)).Step("match.label").GetProperty("signed").GetBoolean());
        Assert.Equal(HttpStatusCode.OK, (await again.SignAsync(job, "match.verdict")).StatusCode);
    }

    [Fact]
    public async Task A_backup_taken_while_notes_are_written_is_one_whole_state_and_loses_none_acknowledged_before()
    {
        using var server = new ServerProcess();
        var job = await server.OpenAsync();
        var acknowledged = 0;
        using var stop = new CancellationTokenSource();
        var writing = Task.Run(async () =>
        {
            while (!stop.IsCancellationRequested)
            {
                var answer = await server.PostAsync(
                    $"/api/jobs/{job}/notes",
                    JsonSerializer.Serialize(new { by = "QA", text = $"note {acknowledged + 1}" })
                );
                Assert.True(answer.IsSuccessStatusCode);
                Interlocked.Increment(ref acknowledged);
            }
        });
        for (var i = 0; i < 5; i++)
        {
            var before = Volatile.Read(ref acknowledged);
            var shop = new ShopDatabase(Path.Combine(server.Data, "shop.db"));
            Backup.Write(shop, At($"{i}.zip"), TimeProvider.System);
            Backup.Restore(At($"{i}.zip"), At($"shop-{i}"));
            using var c = new SqliteConnection($"Data Source={At($"shop-{i}/shop.db")};Mode=ReadOnly;Pooling=False");
            c.Open();
            var notes = c.Query<string>("select text from note where job_id = @job order by id", new { job }).ToList();
            Assert.InRange(notes.Count, before, Volatile.Read(ref acknowledged) + 1);
            Assert.Equal(Enumerable.Range(1, notes.Count).Select(n => $"note {n}"), notes);
        }
        await stop.CancelAsync();
        await writing;
    }

    private string Packed(string name = "shop.zip")
    {
        var data = At("data");
        if (!Directory.Exists(data))
        {
            Directory.CreateDirectory(data);
            var shop = new ShopDatabase(Path.Combine(data, "shop.db"));
            shop.Migrate();
            var papers = new JobEntries(shop, new(shop), TimeProvider.System);
            using (var c = shop.Open())
                c.Execute(
                    "insert into board (id, maker, model, board_code, revision, kind, document, digest, kept_at) "
                        + "values ('b', 'Harrow', 'Tern', 'HT', 'R1', 'graphics-card', x'7b7d', 'd', '2026-11-26')"
                );
            new Jobs(shop, TimeProvider.System).Open(new("A card", null, "Bench A") { BoardId = "b" }, "QA");
            papers.AddPhoto(1, null, Picture, "image/png", ".png", "QA", null);
        }
        Backup.Write(new(Path.Combine(data, "shop.db")), At(name), TimeProvider.System);
        return At(name);
    }

    private static void Spoil(string file, Action<ZipArchive> how)
    {
        using var zip = ZipFile.Open(file, ZipArchiveMode.Update);
        how(zip);
    }

    private static void Rewrite(ZipArchive zip, string name, Func<byte[], byte[]> change)
    {
        var entry = zip.GetEntry(name)!;
        using var all = new MemoryStream();
        using (var from = entry.Open())
            from.CopyTo(all);
        entry.Delete();
        using var to = zip.CreateEntry(name).Open();
        to.Write(change(all.ToArray()));
    }

    [Fact]
    public void A_spoilt_backup_is_refused_says_where_and_changes_nothing()
    {
        void Refused(string file, string words)
        {
            var e = Assert.Throws<BackupFaultException>(() => Backup.Restore(file, At("target")));
            Assert.Contains(words, e.Message, StringComparison.Ordinal);
            Assert.False(File.Exists(At("target/shop.db")));
            Assert.DoesNotContain(
                Directory.GetFileSystemEntries(_folder),
                f => f.Contains(".restore", StringComparison.Ordinal)
            );
        }
        var photo = "";
        var file = Packed("a.zip");
        Spoil(
            file,
            zip =>
            {
                photo = zip.Entries.Single(e => e.FullName.StartsWith("photos/", StringComparison.Ordinal)).FullName;
                Rewrite(zip, photo, b => [.. b[..^1], (byte)(b[^1] ^ 1)]);
            }
        );
        Refused(file, $"{photo} is not what was backed up");
        file = Packed("b.zip");
        Spoil(file, zip => zip.GetEntry("shop.db")!.Delete());
        Refused(file, "shop.db is missing");
        file = Packed("c.zip");
        Spoil(file, zip => zip.GetEntry("manifest.json")!.Delete());
        Refused(file, "is not a backup");
        // a name that leads out of the folder
        file = Packed("d.zip");
        Spoil(
            file,
            zip =>
                Rewrite(
                    zip,
                    "manifest.json",
                    b => Encoding.UTF8.GetBytes(Encoding.UTF8.GetString(b).Replace(photo, "photos/../../evil.png"))
                )
        );
        Refused(file, "is not a file of a backup");
        // a manifest that tells of other rows
        file = Packed("e.zip");
        Spoil(
            file,
            zip =>
                Rewrite(
                    zip,
                    "manifest.json",
                    b =>
                    {
                        var json = JsonNode.Parse(b)!;
                        var job = json["tables"]!.AsArray().Single(t => (string)t!["table"]! == "job")!;
                        job["rows"] = 2;
                        return Encoding.UTF8.GetBytes(json.ToJsonString());
                    }
                )
        );
        Refused(file, "Table job");
        File.WriteAllText(At("f.zip"), "no zip at all");
        Refused(At("f.zip"), "is not a complete backup");
        Refused(At("nowhere.zip"), "There is no file");
        // half a file, as a full disk leaves it
        file = Packed("g.zip");
        File.WriteAllBytes(At("h.zip"), File.ReadAllBytes(file)[..2000]);
        Refused(At("h.zip"), "is not a complete backup");
        // the whole one goes in, and never over a shop
        Backup.Restore(Packed("i.zip"), At("target"));
        Assert.Contains(
            "holds a shop already",
            Assert.Throws<BackupFaultException>(() => Backup.Restore(file, At("target"))).Message,
            StringComparison.Ordinal
        );
    }

    private sealed class Clock : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2026, 11, 26, 8, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }

    [Fact]
    public void The_ring_keeps_the_newest_within_its_bounds()
    {
        Packed();
        var clock = new Clock();
        var shop = new ShopDatabase(At("data/shop.db"));
        var ring = new BackupRing(shop, clock);
        Assert.True(ring.Due());
        // what a backup left when the power went
        var left = Path.Combine(ring.Folder, "shop-20261126-070000.zip.abc.part");
        Directory.CreateDirectory($"{left}.look");
        File.WriteAllText(left, "half");
        File.WriteAllText($"{left}.db", "half");
        for (var hour = 0; hour < 30; hour++)
        {
            clock.Now = clock.Now.AddHours(1);
            ring.Add();
        }
        Assert.Equal(BackupRing.MaxKept, ring.All().Count);
        Assert.Equal(BackupRing.MaxKept, Directory.GetFileSystemEntries(ring.Folder).Length);
        Assert.Equal("shop-20261127-140000.zip", ring.All()[0].Name);
        Assert.Equal("shop-20261126-150000.zip", ring.All()[^1].Name);
        // a bound smaller than two of them still leaves two
        var small = new BackupRing(shop, clock, ring.All()[0].Bytes);
        clock.Now = clock.Now.AddHours(1);
        small.Add();
        Assert.Equal(BackupRing.MinKept, small.All().Count);
        Assert.Null(small.PathOf("../shop.db"));
        Assert.All(small.All(), e => Backup.Check(small.PathOf(e.Name)!));
    }

    [Fact]
    public void A_backup_from_a_clock_that_was_ahead_hides_no_later_one()
    {
        Packed();
        // files are stamped by this machine's clock
        var now = DateTimeOffset.UtcNow;
        var clock = new Clock { Now = now.AddYears(2) };
        var ring = new BackupRing(new(At("data/shop.db")), clock);
        ring.Add();
        clock.Now = now;
        Assert.Null(ring.LastGood);
        Assert.True(ring.Due());
        ring.Add();
        Assert.Equal([$"{now.Year}", $"{now.Year + 2}"], ring.All().Select(e => e.Name[5..9]));
        Assert.NotNull(ring.LastGood);
        Assert.False(ring.Due());
    }

    [Fact]
    public void What_a_newer_version_wrote_is_not_restored()
    {
        Packed();
        var shop = new ShopDatabase(At("data/shop.db"));
        using (var c = shop.Open())
            c.Execute(
                "insert into SchemaVersions (ScriptName, Applied) values ('FaithfulBracket.Store.Migrations.9999_later.sql', '2040-01-01')"
            );
        var e = Assert.Throws<BackupFaultException>(() =>
        {
            Backup.Write(shop, At("later.zip"), TimeProvider.System);
            Backup.Restore(At("later.zip"), At("target"));
        });
        Assert.Contains("newer version", e.Message, StringComparison.Ordinal);
        Assert.False(File.Exists(At("target/shop.db")));
    }

    [Fact]
    public void A_backup_tells_how_far_it_is_and_leaves_nothing_when_it_is_stopped()
    {
        Packed();
        var shop = new ShopDatabase(At("data/shop.db"));
        var told = new List<double>();
        Backup.Write(shop, At("b/whole.zip"), TimeProvider.System, told.Add);
        Assert.Equal(told.Order(), told);
        Assert.Contains(told, t => t is > 0 and < 0.5);
        Assert.Equal(1, told[^1], 6);
        using var stop = new CancellationTokenSource();
        Assert.Throws<OperationCanceledException>(() =>
            Backup.Write(
                shop,
                At("b/stopped.zip"),
                TimeProvider.System,
                share =>
                {
                    if (share > 0.5)
                        stop.Cancel();
                },
                stop.Token
            )
        );
        Assert.Equal([At("b/whole.zip")], Directory.GetFileSystemEntries(At("b")));
        using var ring = new BackupRing(shop, TimeProvider.System);
        Assert.Null(ring.Share);
        ring.Stop();
        Assert.Null(ring.Trouble);
    }

    [Fact]
    public void The_doctor_names_what_is_wrong_and_mends_what_loses_nothing()
    {
        Packed();
        var shop = new ShopDatabase(At("data/shop.db"));
        IReadOnlyList<Finding> Look(bool mend = false) => new Doctor(shop, TimeProvider.System).Look(mend);
        Assert.DoesNotContain(Look(), f => f.Fault);
        var photo = Directory.GetFiles(At("data/photos")).Single();
        File.WriteAllText(At("data/photos/nobodys.png"), "x");
        File.SetLastWriteTimeUtc(At("data/photos/nobodys.png"), DateTime.UtcNow.AddHours(-2));
        File.WriteAllText(At("data/photos/young.png"), "x");
        Assert.Equal("photos-unclaimed", Look().Single(f => f.Fault).Code);
        var mended = Look(mend: true);
        Assert.DoesNotContain(mended, f => f.Fault);
        Assert.Contains(mended, f => f.Mended is not null);
        Assert.True(File.Exists(At("data/photos-unclaimed/nobodys.png")));
        Assert.True(File.Exists(At("data/photos/young.png")));
        // a page does not wait until every picture is read
        var hurried = new Doctor(shop, TimeProvider.System).Look(mend: false, TimeSpan.FromTicks(-1));
        Assert.Contains(hurried, f => f is { Code: "photos-unread", Fault: false });
        Assert.DoesNotContain(Look(), f => f.Code == "photos-unread");
        // a document that is not what it was when it came is named
        var (ill, named) = Run("--data", At("data"), "--doctor", "look");
        Assert.Equal(1, ill);
        Assert.Contains("1 document does not match the digest: board b", named, StringComparison.Ordinal);
        File.AppendAllText(photo, "x");
        Assert.Equal("photos-spoilt", Look().Single(f => f.Fault).Code);
        File.Delete(photo);
        Assert.Equal("photos-gone", Look(mend: true).Single(f => f.Fault).Code);
        using (var c = new SqliteConnection($"Data Source={At("data/shop.db")};Pooling=False;Foreign Keys=False"))
        {
            c.Open();
            c.Execute("update job set pad_choices = '[' where id = 1");
            c.Execute("insert into note (job_id, text, by_initials, at) values (99, 'x', 'QA', '2026')");
        }
        Assert.Equal(["json", "orphans", "photos-gone"], Look().Where(f => f.Fault).Select(f => f.Code).Order());
        var (code, said) = Run("--data", At("data"), "--doctor", "look");
        Assert.Equal(1, code);
        Assert.Contains("job.pad_choices does not read in 1 rows: 1", said, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Health_is_told_and_a_backup_is_written_and_taken_over_http()
    {
        using var server = new ServerProcess();
        var health = await server.GetAsync("/health");
        Assert.Equal("well", health.GetProperty("status").GetString());
        Assert.True(health.GetProperty("jobs").GetInt64() > 20);
        // written while the page waits, or followed until it is
        var made = await server.PostAsync("/api/keeping/backups", "");
        Assert.Contains(made.StatusCode, (HttpStatusCode[])[HttpStatusCode.OK, HttpStatusCode.Accepted]);
        JsonElement keeping;
        do keeping = await server.GetAsync("/api/keeping");
        while (keeping.TryGetProperty("writing", out _));
        var name = keeping.GetProperty("backups")[0].GetProperty("name").GetString()!;
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await server.Http.DeleteAsync("/api/keeping/backups/under-way")).StatusCode
        );
        await File.WriteAllBytesAsync(
            At("taken.zip"),
            await server.Http.GetByteArrayAsync($"/api/keeping/backups/{name}")
        );
        Assert.True(Backup.Check(At("taken.zip")).Rows > 500);
        Assert.Equal(
            HttpStatusCode.NotFound,
            (await server.Http.GetAsync("/api/keeping/backups/..%2Fshop.db")).StatusCode
        );
        Assert.Equal(
            name,
            (await server.GetAsync("/api/keeping")).GetProperty("backups")[0].GetProperty("name").GetString()
        );
    }
}
