using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Formats.Documents;
using FaithfulBracket.Formats.Json;
using Json.Schema;
using Xunit;

namespace FaithfulBracket.Core.Tests;

public class DocumentTests
{
    private static readonly string Root = FindRoot();

    public static TheoryData<string> Demo =>
        [
            .. Directory
                .EnumerateFiles(Path.Combine(Root, "demo"), "*.json", SearchOption.AllDirectories)
                .Where(f => KindOf(f) is not null)
                .Select(f => Path.GetRelativePath(Root, f)),
        ];

    [Theory, MemberData(nameof(Demo))]
    public void Demo_documents_are_read_and_agree_with_the_published_schema(string file)
    {
        var bytes = File.ReadAllBytes(Path.Combine(Root, file));
        var kind = KindOf(file)!;
        Read(kind, bytes);
        // editors complete a document by the schema that it names
        var named = JsonNode.Parse(bytes)!;
        named["$schema"] = $"../formats/{kind}-1.schema.json";
        Read(kind, Encoding.UTF8.GetBytes(named.ToJsonString()));
        var result = Schema(kind).Evaluate(named, new() { OutputFormat = OutputFormat.List });
        Assert.True(
            result.IsValid,
            string.Join(
                "; ",
                result
                    .Details.Where(d => d.Errors is not null)
                    .SelectMany(d => d.Errors!.Select(e => $"{d.InstanceLocation} {e.Value}"))
                    .Take(5)
            )
        );
    }

    [Theory, MemberData(nameof(Demo))]
    public void Writing_a_read_document_loses_nothing(string file)
    {
        var kind = KindOf(file)!;
        var first = Read(kind, File.ReadAllBytes(Path.Combine(Root, file)));
        var written = first switch
        {
            Board b => DocumentWriter.Write(b),
            Block b => DocumentWriter.Write(b),
            Machine m => DocumentWriter.Write(m),
            _ => DocumentWriter.Write((Card)first),
        };
        var again = Read(kind, written);
        Assert.Equal(
            JsonSerializer.Serialize(first, first.GetType(), DocumentJson.Options),
            JsonSerializer.Serialize(again, again.GetType(), DocumentJson.Options)
        );
    }

    [Theory]
    [InlineData("/thicknessMm", "\"thin\"", "/thicknessMm", "Expected a number from 0.2 to 10, found the text")]
    [InlineData("/kind", "\"toaster\"", "/kind", "Expected one of graphics-card")]
    [InlineData("/holes/0/diameterMm", "-1", "/holes/0/diameterMm", "from 0.1 to 50")]
    [InlineData("/parts/1/heigthMm", "1", "/parts/1/heigthMm", "did you mean \"heightMm\"")]
    [InlineData("/$schema", "5", "/$schema", "Expected text")]
    [InlineData("/version", "2", "/version", "Expected version 1, found 2")]
    [InlineData("/format", "\"faithful-bracket/block\"", "/format", "Expected \"faithful-bracket/board\"")]
    [InlineData("/outline", "[[0,0],[10,10],[10,0],[0,10]]", "/outline", "crosses itself")]
    [InlineData("/outline", "[[-2,-2],[8,-2],[8,2],[-2,2]]", "/outline", "inches")]
    [InlineData("/holes/1/id", "\"H1\"", "/holes", "stands 2 times")]
    public void A_fault_is_named_with_its_place_and_what_is_expected(
        string where,
        string value,
        string pointer,
        string says
    )
    {
        var doc = JsonNode.Parse(File.ReadAllBytes(Path.Combine(Root, "demo/boards/skua-380-r1.board.json")))!;
        Put(doc, where, JsonNode.Parse(value));
        var e = Assert.Throws<InputException>(() => BoardReader.Read(Encoding.UTF8.GetBytes(doc.ToJsonString())));
        Assert.Contains(e.Faults, f => f.Field == pointer && f.Message.Contains(says, StringComparison.Ordinal));
    }

    [Fact]
    public void Notes_and_own_fields_are_let_through()
    {
        var doc = JsonNode.Parse(File.ReadAllBytes(Path.Combine(Root, "demo/boards/skua-380-r1.board.json")))!;
        doc["notes"] = "seen on the bench";
        doc["x-shelf"] = 4;
        BoardReader.Read(Encoding.UTF8.GetBytes(doc.ToJsonString()));
    }

    [Theory]
    [InlineData("", "No JSON")]
    [InlineData("{\"a\":", "line 1")]
    [InlineData("[1,2", "No JSON")]
    public void Broken_text_is_refused_with_its_line(string text, string says) =>
        Assert.Contains(
            says,
            Assert.Throws<MalformedJsonException>(() => JsonInput.Parse(Encoding.UTF8.GetBytes(text))).Message,
            StringComparison.Ordinal
        );

    [Fact]
    public void Too_deep_and_too_large_are_refused()
    {
        Assert.Contains(
            "levels deep",
            Assert
                .Throws<MalformedJsonException>(() =>
                    JsonInput.Parse(Encoding.UTF8.GetBytes(new string('[', 5000) + new string(']', 5000)))
                )
                .Message,
            StringComparison.Ordinal
        );
        Assert.Contains(
            "MiB",
            Assert.Throws<MalformedJsonException>(() => JsonInput.Parse(new byte[JsonInput.MaxBytes + 1])).Message,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void Equal_content_has_an_equal_digest_whatever_its_order_and_spacing()
    {
        static string Digest(string s)
        {
            using var d = JsonDocument.Parse(s);
            return CanonicalJson.Digest(d.RootElement);
        }
        Assert.Equal(Digest("{\"a\":1.0,\"b\":[1,2]}"), Digest("{ \"b\": [1, 2], \"a\": 1 }"));
        Assert.NotEqual(Digest("{\"a\":1}"), Digest("{\"a\":2}"));
    }

    private static void Put(JsonNode doc, string pointer, JsonNode? value)
    {
        var parts = pointer[1..].Split('/');
        var at = doc;
        foreach (var p in parts[..^1])
            at = at is JsonArray a ? a[int.Parse(p)]! : at[p]!;
        at[parts[^1]] = value;
    }

    private static string? KindOf(string file) =>
        new[] { "board", "block", "card", "machine" }.FirstOrDefault(k => file.Contains($".{k}."));

    private static object Read(string kind, byte[] bytes) =>
        kind switch
        {
            "board" => BoardReader.Read(bytes),
            "block" => BlockReader.Read(bytes),
            "machine" => MachineReader.Read(bytes),
            _ => CardReader.Read(bytes),
        };

    /// <summary>A published schema; the boards of a card are held to the board's own schema.</summary>
    private static JsonSchema Schema(string kind)
    {
        static JsonNode Published(string k) =>
            JsonNode.Parse(File.ReadAllText(Path.Combine(Root, "docs/formats", $"{k}-1.schema.json")))!;
        var schema = Published(kind);
        if (kind == "card")
            schema["properties"]!["boards"]!["items"]!["properties"]!["board"] = Published("board");
        return JsonSchema.FromText(schema.ToJsonString());
    }

    private static string FindRoot()
    {
        var at = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(at.FullName, "run")))
            at = at.Parent ?? throw new DirectoryNotFoundException("the house is not above the tests");
        return at.FullName;
    }
}
