using System.Net;
using System.Net.Http.Json;
using System.Security.Cryptography;
using System.Security.Cryptography.X509Certificates;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>
/// Tablets over the shop's network: let in by a code, limited, shut out at once; never without HTTPS and a key.
/// </summary>
public sealed class LanTests
{
    private static HttpClient Tablet(ServerProcess server)
    {
        var handler = new SocketsHttpHandler { CookieContainer = new(), AllowAutoRedirect = false };
        // made on the spot: a tablet asks whoever holds it whether to trust it
        handler.SslOptions.RemoteCertificateValidationCallback = (_, certificate, _, _) =>
            certificate?.Subject == "CN=Faithful Bracket";
        return new(handler) { BaseAddress = server.Lan, Timeout = TimeSpan.FromSeconds(60) };
    }

    private static async Task<string> CodeAsync(ServerProcess server)
    {
        var answer = await server.PostAsync("/api/devices/pairings", "");
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var told = await ServerProcess.JsonAsync(answer);
        Assert.Contains("<svg", told.GetProperty("picture").GetString(), StringComparison.Ordinal);
        return told.GetProperty("code").GetString()!;
    }

    private static Task<HttpResponseMessage> PairAsync(HttpClient tablet, string code, string name = "Bench A") =>
        tablet.PostAsJsonAsync("/api/pair", new { code, name });

    [Fact]
    public async Task Two_tablets_are_let_in_and_the_one_shut_out_loses_even_what_it_had_open()
    {
        using var server = new ServerProcess(lan: true);
        using var first = Tablet(server);
        using var second = Tablet(server);
        // a stranger sees the page for the code and nothing else
        Assert.Equal(HttpStatusCode.Unauthorized, (await first.GetAsync("/api/bench")).StatusCode);
        var away = await first.GetAsync("/");
        Assert.Equal((HttpStatusCode.Redirect, "/pair"), (away.StatusCode, away.Headers.Location!.ToString()));
        Assert.Equal(HttpStatusCode.Unauthorized, (await first.GetAsync("/api/devices")).StatusCode);

        Assert.Equal(HttpStatusCode.NoContent, (await PairAsync(first, await CodeAsync(server))).StatusCode);
        // typed as people type
        var code = await CodeAsync(server);
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await PairAsync(second, $" {code[..4].ToLowerInvariant()}-{code[4..]} ", "Bench B")).StatusCode
        );
        // a code lets one in
        using var third = Tablet(server);
        Assert.Equal(HttpStatusCode.Forbidden, (await PairAsync(third, code)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await first.GetAsync("/api/bench")).StatusCode);
        var signed = await second.SendAsync(
            new(HttpMethod.Post, "/api/jobs/3/steps/match.label/sign")
            {
                Headers = { { "If-Match", "\"0\"" } },
                Content = JsonContent.Create(new { by = "RV" }),
            }
        );
        Assert.Equal(HttpStatusCode.OK, signed.StatusCode);
        // devices are nobody's business but this machine's
        Assert.Equal(HttpStatusCode.Forbidden, (await second.GetAsync("/api/devices")).StatusCode);
        Assert.Equal(HttpStatusCode.Forbidden, (await second.PostAsync("/api/devices/pairings", null)).StatusCode);

        using var live = await second.GetAsync("/api/live", HttpCompletionOption.ResponseHeadersRead);
        Assert.Equal(HttpStatusCode.OK, live.StatusCode);
        var reading = new StreamReader(await live.Content.ReadAsStreamAsync()).ReadToEndAsync();
        var devices = (await server.GetAsync("/api/devices")).GetProperty("devices").EnumerateArray().ToList();
        var id = devices.Single(d => d.GetProperty("name").GetString() == "Bench B").GetProperty("id").GetInt64();
        Assert.Equal(
            HttpStatusCode.NoContent,
            (await server.SendAsync(HttpMethod.Delete, $"/api/devices/{id}", null)).StatusCode
        );
        // its open stream ends, one way or the other
        await Assert.ThrowsAnyAsync<Exception>(async () =>
        {
            await reading.WaitAsync(TimeSpan.FromSeconds(30));
            throw new IOException("ended");
        });
        Assert.IsNotType<TimeoutException>(reading.Exception?.InnerException);
        Assert.True(reading.IsCompleted);
        Assert.Equal(HttpStatusCode.Unauthorized, (await second.GetAsync("/api/bench")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await first.GetAsync("/api/bench")).StatusCode);
        // over a kill: keys are kept as hashes, the certificate too
        server.KillAndRestart();
        Assert.DoesNotContain(
            "token",
            (await server.GetAsync("/api/devices")).GetRawText(),
            StringComparison.OrdinalIgnoreCase
        );
    }

    [Fact]
    public async Task A_calendar_program_reads_by_the_address_alone_until_there_is_another()
    {
        using var server = new ServerProcess(lan: true);
        using var stranger = Tablet(server);
        const string own = "/api/settings/calendar";
        var told = await server.GetAsync(own);
        var address = new Uri(told.GetProperty("lanAddress").GetString()!).AbsolutePath;
        Assert.EndsWith(address, told.GetProperty("address").GetString(), StringComparison.Ordinal);
        var calendar = await stranger.GetAsync(address);
        Assert.Equal(
            (HttpStatusCode.OK, "text/calendar"),
            (calendar.StatusCode, calendar.Content.Headers.ContentType!.MediaType)
        );
        var before = Sequence(await calendar.Content.ReadAsStringAsync());
        // a promise that is moved comes with a higher number
        var put = await server.SendAsync(
            HttpMethod.Put,
            "/api/jobs/2/promise",
            $$"""{"by":"QA","at":"{{DateTime.Now.AddDays(3):yyyy-MM-dd}}T12:00"}"""
        );
        Assert.Equal(HttpStatusCode.NoContent, put.StatusCode);
        Assert.Equal(before + 1, Sequence(await stranger.GetStringAsync(address)));
        // nothing else is told by it, and only this machine says what it is
        Assert.Equal(HttpStatusCode.NotFound, (await stranger.GetAsync($"{address[..^5]}0.ics")).StatusCode);
        Assert.Equal(HttpStatusCode.Unauthorized, (await stranger.GetAsync(own)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await server.PostAsync($"{own}/address", "")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await stranger.GetAsync(address)).StatusCode);
    }

    /// <summary>Of the promise of job 2.</summary>
    private static int Sequence(string calendar) =>
        calendar
            .Replace("\r\n ", "", StringComparison.Ordinal)
            .Split("BEGIN:VEVENT")
            .Where(e => e.Contains("SUMMARY:Promised: Skua 380\\, memory ran hot", StringComparison.Ordinal))
            .Select(e =>
                int.Parse(
                    e.Split('\n').Single(l => l.StartsWith("SEQUENCE:", StringComparison.Ordinal))[
                        "SEQUENCE:".Length..
                    ],
                    System.Globalization.CultureInfo.InvariantCulture
                )
            )
            .Single();

    [Fact]
    public async Task A_certificate_that_is_not_valid_yet_is_replaced_and_the_new_ones_fingerprint_is_told()
    {
        var data = Directory.CreateTempSubdirectory("fb-lan-").FullName;
        try
        {
            string Kept() => Directory.GetFiles(data, "lan-certificate.pfx", SearchOption.AllDirectories).Single();
            async Task<string> ServedAsync(ServerProcess server)
            {
                var seen = "";
                using var handler = new SocketsHttpHandler();
                handler.SslOptions.RemoteCertificateValidationCallback = (_, c, _, _) =>
                {
                    seen = c!.GetCertHashString(HashAlgorithmName.SHA256);
                    var valid = ((X509Certificate2)c).NotBefore.ToUniversalTime();
                    return valid <= DateTime.UtcNow;
                };
                using var tablet = new HttpClient(handler) { BaseAddress = server.Lan };
                var page = await tablet.GetStringAsync("/api/pair");
                Assert.Contains(
                    string.Join(':', seen.Chunk(2).Select(p => new string(p))),
                    page,
                    StringComparison.Ordinal
                );
                return seen;
            }
            string first;
            using (var server = new ServerProcess(data, lan: true))
                first = await ServedAsync(server);
            using (var server = new ServerProcess(data, lan: true))
                Assert.Equal(first, await ServedAsync(server));
            using (var kept = X509CertificateLoader.LoadPkcs12FromFile(Kept(), null, X509KeyStorageFlags.Exportable))
            using (var key = kept.GetECDsaPrivateKey())
            {
                // the same names, made while the clock stood ten days ahead
                var request = new CertificateRequest(kept.SubjectName, key!, HashAlgorithmName.SHA256);
                foreach (var extension in kept.Extensions)
                    request.CertificateExtensions.Add(extension);
                using var ahead = request.CreateSelfSigned(
                    DateTimeOffset.UtcNow.AddDays(10),
                    DateTimeOffset.UtcNow.AddDays(400)
                );
                File.WriteAllBytes(Kept(), ahead.Export(X509ContentType.Pkcs12));
                first = ahead.GetCertHashString(HashAlgorithmName.SHA256);
            }
            using (var server = new ServerProcess(data, lan: true))
                Assert.NotEqual(first, await ServedAsync(server));
        }
        finally
        {
            Directory.Delete(data, recursive: true);
        }
    }

    [Fact]
    public async Task Whoever_guesses_is_made_to_wait()
    {
        using var server = new ServerProcess(demo: false, lan: true);
        using var tablet = Tablet(server);
        var answers = new List<HttpResponseMessage>();
        for (var i = 0; i < 12; i++)
            answers.Add(await PairAsync(tablet, $"WRONG{i:00}"));
        Assert.Equal(6, answers.Count(a => a.StatusCode == HttpStatusCode.Forbidden));
        Assert.All(
            answers.Skip(6),
            a =>
            {
                Assert.Equal(HttpStatusCode.TooManyRequests, a.StatusCode);
                Assert.NotNull(a.Headers.RetryAfter);
            }
        );
        // the right code waits too
        Assert.Equal(HttpStatusCode.TooManyRequests, (await PairAsync(tablet, await CodeAsync(server))).StatusCode);
    }

    [Fact]
    public async Task A_stranger_who_floods_is_answered_less_and_this_machine_goes_on()
    {
        using var server = new ServerProcess(demo: false, lan: true);
        using var tablet = Tablet(server);
        var all = await Task.WhenAll(Enumerable.Range(0, 150).Select(_ => tablet.GetAsync("/pair")));
        Assert.Contains(all, a => a.StatusCode == HttpStatusCode.TooManyRequests);
        Assert.Equal("well", (await server.GetAsync("/health")).GetProperty("status").GetString());
    }

    [Fact]
    public async Task Strangers_send_little_and_backups_stay_at_the_desk()
    {
        using var server = new ServerProcess(demo: false, lan: true);
        using var tablet = Tablet(server);
        var large = await tablet.PostAsJsonAsync("/api/pair", new { code = new string('A', 5000), name = "Bench A" });
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, large.StatusCode);
        // what the page for the code shows is what this machine shows
        var shown = await ServerProcess.JsonAsync(await tablet.GetAsync("/api/pair"));
        Assert.Equal(
            (await server.GetAsync("/api/devices")).GetProperty("fingerprint").GetString(),
            shown.GetProperty("fingerprint").GetString()
        );
        Assert.Equal(HttpStatusCode.NoContent, (await PairAsync(tablet, await CodeAsync(server))).StatusCode);
        var made = await ServerProcess.JsonAsync(await server.PostAsync("/api/keeping/backups", ""));
        var path = $"/api/keeping/backups/{made.GetProperty("name").GetString()}";
        Assert.Equal(HttpStatusCode.Forbidden, (await tablet.GetAsync(path)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await server.Http.GetAsync(path)).StatusCode);
    }

    [Fact]
    public async Task Without_the_network_nothing_listens_for_it_and_no_code_is_given()
    {
        using var server = new ServerProcess(demo: false);
        Assert.Null(server.Lan);
        Assert.False((await server.GetAsync("/api/devices")).GetProperty("open").GetBoolean());
        Assert.Equal(HttpStatusCode.Conflict, (await server.PostAsync("/api/devices/pairings", "")).StatusCode);
    }

    [Fact]
    public async Task Fifty_tablets_on_one_job_hear_of_every_signature_and_each_step_is_signed_once()
    {
        using var server = new ServerProcess();
        var job = await server.OpenAsync();
        var steps = (await server.JobAsync(job))
            .GetProperty("steps")
            .EnumerateArray()
            .Select(s => s.GetProperty("stepId").GetString()!)
            .Take(6)
            .ToList();
        using var stop = new CancellationTokenSource(TimeSpan.FromSeconds(120));
        var ready = new SemaphoreSlim(0);
        var heard = Enumerable
            .Range(0, 50)
            .Select(async _ =>
            {
                using var live = await server.Http.GetAsync(
                    "/api/live",
                    HttpCompletionOption.ResponseHeadersRead,
                    stop.Token
                );
                using var reader = new StreamReader(await live.Content.ReadAsStreamAsync(stop.Token));
                ready.Release();
                while (await reader.ReadLineAsync(stop.Token) is { } line)
                    if (line.StartsWith("event: changed", StringComparison.Ordinal))
                        return true;
                return false;
            })
            .ToList();
        for (var i = 0; i < heard.Count; i++)
            await ready.WaitAsync(stop.Token);
        foreach (var step in steps)
        {
            var answers = await Task.WhenAll(
                Enumerable
                    .Range(0, 50)
                    .Select(i => server.SignAsync(job, step, by: i % 2 == 0 ? "QA" : "ML", reason: "race"))
            );
            Assert.Single(answers, a => a.StatusCode == HttpStatusCode.OK);
        }
        Assert.All(await Task.WhenAll(heard), Assert.True);
        Assert.Equal(
            steps,
            (await server.JobAsync(job))
                .GetProperty("history")
                .EnumerateArray()
                .Select(h => h.GetProperty("stepId").GetString())
        );
    }
}
