using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Formats.Photos;
using FaithfulBracket.Formats.Records;
using Xunit;

namespace FaithfulBracket.Server.Tests;

/// <summary>Records that prove themselves, and everything ever done found again.</summary>
public sealed class RecordTests(DemoServer demo) : IClassFixture<DemoServer>
{
    private static readonly byte[] Key = [.. Enumerable.Range(0, RecordSeal.KeyBytes).Select(i => (byte)i)];

    private static string Sealed() =>
        string.Concat(
            RecordSeal.Sealed(
                ["<!doctype html>", "<p>Die 39.6 °C, signed QA.</p>"],
                5,
                "shop",
                [new DocumentStand("board", "A", "skua-380-r1", "ab12")],
                Key
            )
        );

    [Fact]
    public void No_single_character_of_a_sealed_record_can_be_another_and_the_record_still_be_whole()
    {
        var html = Sealed();
        Assert.Equal(SealVerdict.Whole, RecordSeal.Check(html, Key).Verdict);
        for (var i = 0; i < html.Length; i++)
        {
            var other = html[..i] + (html[i] == 'x' ? 'y' : 'x') + html[(i + 1)..];
            Assert.NotEqual(SealVerdict.Whole, RecordSeal.Check(other, Key).Verdict);
            Assert.NotEqual(SealVerdict.Whole, RecordSeal.Check(html[..i] + html[(i + 1)..], Key).Verdict);
        }
    }

    [Fact]
    public void A_record_sealed_by_somebody_else_is_foreign_even_where_its_own_hash_is_right()
    {
        var theirs = string.Concat(
            RecordSeal.Sealed(["<p>Die 20.0 °C.</p>"], 5, "client", [], [.. Key.Select(b => (byte)(b ^ 0xff))])
        );
        Assert.Equal(SealVerdict.Foreign, RecordSeal.Check(theirs, Key).Verdict);
        // a seal of ours laid into another text does not fit it
        var ours = Sealed();
        Assert.Equal(
            SealVerdict.Changed,
            RecordSeal.Check(ours.Replace("39.6", "29.6", StringComparison.Ordinal), Key).Verdict
        );
        Assert.Equal(SealVerdict.NoRecord, RecordSeal.Check("<html>nothing sealed</html>", Key).Verdict);
        Assert.Equal(SealVerdict.NoRecord, RecordSeal.Check("", Key).Verdict);
    }

    private static async Task<JsonElement> CheckAsync(ServerProcess server, string html)
    {
        using var content = new StringContent(html, Encoding.UTF8, "text/html");
        var answer = await server.Http.PostAsync("/api/records/check", content);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return await ServerProcess.JsonAsync(answer);
    }

    [Fact]
    public async Task A_record_brought_back_is_whole_until_it_is_touched_and_says_what_its_documents_are_now()
    {
        using var server = new ServerProcess();
        await server.CalculatedAsync();
        var forClient = await server.Http.GetStringAsync("/api/jobs/5/record.html?for=client");
        var html = await server.Http.GetStringAsync("/api/jobs/5/record.html?for=shop");
        Assert.Equal("whole", (await CheckAsync(server, forClient)).GetProperty("verdict").GetString());
        var told = await CheckAsync(server, html);
        Assert.Equal("whole", told.GetProperty("verdict").GetString());
        Assert.True(told.GetProperty("now").GetBoolean());
        Assert.All(
            told.GetProperty("documents").EnumerateArray(),
            d => Assert.Equal("same", d.GetProperty("standing").GetString())
        );
        Assert.Equal(
            "changed",
            (await CheckAsync(server, html.Replace("39.6", "36.9", StringComparison.Ordinal)))
                .GetProperty("verdict")
                .GetString()
        );
        // the block's document is replaced: the record stands, and says so
        var block = JsonNode.Parse(ServerProcess.DemoFile("blocks/lathe-loch-core-u.block.json"))!;
        block["model"] = "Core U, second make";
        block["plates"]![0]!["baseStepMm"] = 3.1;
        var passport = await server.Http.GetStringAsync("/api/jobs/5/passport");
        Assert.True((await server.PostAsync("/api/blocks?replace=true", block.ToJsonString())).IsSuccessStatusCode);
        // what its contacts were forecast to be stays with the card
        Assert.Equal(passport, await server.Http.GetStringAsync("/api/jobs/5/passport"));
        told = await CheckAsync(server, html);
        Assert.Equal("whole", told.GetProperty("verdict").GetString());
        Assert.Equal(
            "changed",
            told.GetProperty("documents")
                .EnumerateArray()
                .Single(d => d.GetProperty("role").GetString() == "block")
                .GetProperty("standing")
                .GetString()
        );
        // a note more: what was given out is still whole, the job went on
        Assert.True(
            (
                await server.PostAsync("/api/jobs/5/notes", """{"by":"QA","text":"called the client"}""")
            ).IsSuccessStatusCode
        );
        told = await CheckAsync(server, html);
        Assert.Equal("whole", told.GetProperty("verdict").GetString());
        Assert.False(told.GetProperty("now").GetBoolean());
        // notes are the shop's own: the client's record reads as before
        Assert.True((await CheckAsync(server, forClient)).GetProperty("now").GetBoolean());
        server.KillAndRestart();
        Assert.Equal("whole", (await CheckAsync(server, html)).GetProperty("verdict").GetString());
    }

    [Fact]
    public async Task Large_pictures_are_scaled_in_a_record_that_can_be_sent_and_checked()
    {
        using var server = new ServerProcess();
        for (var k = 0; k < 6; k++)
        {
            // noise: nothing packs it, over 4 MB each
            var noise = new byte[2600 * 2000];
            new Random(k).NextBytes(noise);
            using var content = new ByteArrayContent(PhotoPixels.Jpeg(new(2600, 2000, noise), 95));
            Assert.InRange(content.Headers.ContentLength!.Value, 4_000_000, 10_000_000);
            content.Headers.ContentType = new("image/jpeg");
            var kept = await server.Http.PostAsync("/api/jobs/1/photos?by=QA", content);
            Assert.True(kept.IsSuccessStatusCode, await kept.Content.ReadAsStringAsync());
        }
        var html = await server.Http.GetStringAsync("/api/jobs/1/record.html?for=shop");
        Assert.Equal(6, html.Split("src=\"data:image/jpeg;base64,").Length - 1);
        Assert.InRange(html.Length, 100_000, 12_000_000);
        Assert.Equal("whole", (await CheckAsync(server, html)).GetProperty("verdict").GetString());
    }

    [Fact]
    public async Task The_clients_record_tells_what_a_client_needs_and_no_talk_of_the_shop()
    {
        var server = demo.Server;
        await server.CalculatedAsync();
        var client = await server.Http.GetStringAsync("/api/jobs/5/record.html?for=client");
        var shop = await server.Http.GetStringAsync("/api/jobs/5/record.html");
        foreach (
            var part in (string[])
                [
                    "Proof:",
                    "Readings",
                    "What was kept",
                    "What was done",
                    "What it runs at",
                    "What to do, and when",
                    "Take care",
                    "Back to stock",
                    "Calculated from",
                ]
        )
            Assert.Contains(part, client, StringComparison.Ordinal);
        Assert.DoesNotContain("Case fan turned", client, StringComparison.Ordinal);
        Assert.Contains("Case fan turned", shop, StringComparison.Ordinal);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.Http.GetAsync("/api/jobs/5/record.html?for=me")).StatusCode
        );
    }

    [Fact]
    public async Task A_record_bears_the_shops_name_and_mark_and_is_a_draft_until_the_last_signature()
    {
        using var server = new ServerProcess();
        await server.CalculatedAsync();
        Assert.Equal("", (await server.GetAsync("/api/settings/shop")).GetProperty("name").GetString());
        var said = "";
        async Task<HttpStatusCode> Mark(byte[] bytes)
        {
            using var content = new ByteArrayContent(bytes);
            content.Headers.ContentType = new("image/png");
            var answer = await server.Http.PutAsync("/api/settings/shop/mark?by=QA", content);
            said = await answer.Content.ReadAsStringAsync();
            return answer.StatusCode;
        }
        Assert.Equal(
            HttpStatusCode.OK,
            (
                await server.SendAsync(
                    HttpMethod.Put,
                    "/api/settings/shop",
                    """{"name":"Quay & Sons","contact":"Quay 4\n<b>bench</b>","by":"QA"}"""
                )
            ).StatusCode
        );
        var grey = new Core.Match.Trace.GreyPicture(40, 20, new byte[800]);
        Assert.Equal(HttpStatusCode.OK, await Mark(PhotoPixels.Jpeg(grey)));
        Assert.Equal(HttpStatusCode.UnprocessableEntity, await Mark([1, 2, 3]));
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, await Mark(new byte[400_000]));
        Assert.Contains("larger than 300 KiB", said, StringComparison.Ordinal);
        server.KillAndRestart();
        var shop = await server.GetAsync("/api/settings/shop");
        Assert.Equal(
            ("Quay & Sons", true),
            (shop.GetProperty("name").GetString(), shop.GetProperty("hasMark").GetBoolean())
        );
        var finished = await server.Http.GetStringAsync("/api/jobs/5/record.html?for=client");
        Assert.Contains("Quay &amp; Sons", finished, StringComparison.Ordinal);
        Assert.Contains("&lt;b&gt;bench", finished, StringComparison.Ordinal);
        Assert.Contains("class=mark", finished, StringComparison.Ordinal);
        Assert.DoesNotContain("Draft", finished, StringComparison.Ordinal);
        Assert.Contains(
            "<b>Draft</b>",
            await server.Http.GetStringAsync("/api/jobs/1/record.html?for=client"),
            StringComparison.Ordinal
        );
        Assert.Equal(HttpStatusCode.OK, (await server.Http.DeleteAsync("/api/settings/shop/mark?by=QA")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await server.Http.GetAsync("/api/settings/shop/mark")).StatusCode);
    }

    private static async Task<List<long>> FoundAsync(ServerProcess server, string text) =>
        [
            .. (await server.GetAsync($"/api/search?text={Uri.EscapeDataString(text)}"))
                .EnumerateArray()
                .Select(f => f.GetProperty("id").GetInt64()),
        ];

    [Fact]
    public async Task A_job_is_found_by_client_board_block_part_fault_signer_date_and_note()
    {
        var server = demo.Server;
        await server.CalculatedAsync();
        Assert.Contains(5, await FoundAsync(server, "ferry wheel"));
        Assert.Contains(14, await FoundAsync(server, "board:pelican board:pro"));
        Assert.Equal([13], await FoundAsync(server, "board:gannet signer:rv"));
        Assert.Contains(22, await FoundAsync(server, "tern M3"));
        Assert.Equal([3], await FoundAsync(server, "fault:clashes"));
        Assert.Equal([5], await FoundAsync(server, "fan turned"));
        Assert.Equal([23], await FoundAsync(server, $"date:{DateTime.UtcNow.AddDays(-365):yyyy-MM}"));
        // what is not there, and what would be a language of its own elsewhere
        foreach (var nothing in (string[])["zzzz", "\"", "title:", "(((", "  "])
            Assert.Empty(await FoundAsync(server, nothing));
        foreach (var word in (string[])["* OR *", "AND", "NEAR(a b)", "nosuch:tern", "-tern", "'; drop table job"])
            _ = await FoundAsync(server, word);
        Assert.Equal(
            HttpStatusCode.UnprocessableEntity,
            (await server.Http.GetAsync($"/api/search?text={new string('a', 201)}")).StatusCode
        );
        // a note is found as soon as it is acknowledged
        await server.PostAsync("/api/jobs/7/notes", """{"by":"QA","text":"cracked ferrule"}""");
        Assert.Equal([7], await FoundAsync(server, "ferrule"));
    }

    [Fact]
    public async Task What_was_done_last_time_on_a_board_comes_with_what_went_wrong()
    {
        var server = demo.Server;
        await server.CalculatedAsync();
        var job = await server.OpenAsync();
        var answer = await server.SignAsync(job, "prove.leak", by: "ML", reason: "gauge away, tissue held dry");
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var next = await server.OpenAsync();
        var past = (await server.GetAsync($"/api/past/tern-460-r2?but={next}")).EnumerateArray().ToList();
        Assert.Equal(job, past[0].GetProperty("id").GetInt64());
        Assert.Contains("gauge away", past[0].GetProperty("wrong")[0].GetString(), StringComparison.Ordinal);
        Assert.DoesNotContain(past, p => p.GetProperty("id").GetInt64() == next);
        Assert.Contains(
            (await server.GetAsync("/api/past/brineworks-full-460")).EnumerateArray(),
            p => p.GetProperty("id").GetInt64() == 1
        );
    }
}
