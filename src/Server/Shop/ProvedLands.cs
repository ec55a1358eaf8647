using System.Text;
using System.Text.Encodings.Web;
using System.Text.Json;
using System.Text.Json.Nodes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Formats.Documents.Editing;
using FaithfulBracket.Store;
using Microsoft.Extensions.DependencyInjection;

namespace FaithfulBracket.Server.Shop;

/// <summary>Lands of a block that a job bears out: every part on them is confirmed, none is doubted.</summary>
/// <param name="Lands">Not yet marked as proved.</param>
/// <param name="Document">The block with them marked so.</param>
/// <param name="Version">The version it was made from.</param>
internal sealed record ProvedBlock(
    string Pair,
    string BlockId,
    string Name,
    IReadOnlyList<string> Lands,
    string Document,
    long Version
);

/// <summary>What a finished mount says of the blocks themselves.</summary>
internal sealed class ProvedLands(JobPlans plans, Passports passports, IServiceProvider services)
{
    private static readonly JsonSerializerOptions Indented = new()
    {
        WriteIndented = true,
        Encoder = JavaScriptEncoder.UnsafeRelaxedJsonEscaping,
    };

    public IReadOnlyList<ProvedBlock> Of(long id, CancellationToken cancel)
    {
        var job = plans.Today(id, cancel);
        var contacts = passports.Of(id, cancel).ToDictionary(c => c.Contact, c => c.Seen);
        var several = job.Order.Pieces.Count > 1;
        var library = services.GetRequiredKeyedService<Library>("block");
        var proved = new List<ProvedBlock>();
        foreach (var pair in job.Order.Pairs)
        {
            var borneOut = job
                .Plan.Pads.Pairs.Where(p => p.Pair == pair.Key && p.Stack is not null)
                .SelectMany(p =>
                    p.Stack!.Laid.Pairings()
                        .Select(x =>
                            (
                                x.Land,
                                Seen: contacts.GetValueOrDefault(several ? $"{p.Board}/{x.Part.Id}" : x.Part.Id) ?? []
                            )
                        )
                )
                .GroupBy(x => x.Land.Id)
                .Where(g => g.All(x => x.Seen.Count > 0 && x.Seen.All(s => s.Agrees)))
                .Select(g => g.First().Land)
                .Where(l => l.Evidence is { } known && known != FigureGrade.Proved)
                .Select(l => l.Id)
                .ToHashSet();
            if (borneOut.Count == 0 || library.Find(pair.Block.Id) is null)
                continue;
            var kept = library.Get(pair.Block.Id);
            var document = JsonNode.Parse(kept.Document)!;
            var edits = Places(document, borneOut).ToList();
            if (edits.Count > 0)
                proved.Add(
                    new(
                        pair.Key,
                        pair.Block.Id,
                        $"{pair.Block.Maker} {pair.Block.Model}",
                        [.. borneOut.Order(StringComparer.Ordinal)],
                        DocumentEditor.Apply(document, edits).Document.ToJsonString(Indented),
                        kept.Version
                    )
                );
        }
        return proved;
    }

    private static IEnumerable<DocumentEdit> Places(JsonNode document, HashSet<string> lands)
    {
        if (document["plates"] is not JsonArray plates)
            yield break;
        for (var i = 0; i < plates.Count; i++)
            if (plates[i]?["lands"] is JsonArray list)
                for (var j = 0; j < list.Count; j++)
                    if (list[j]?["id"]?.GetValue<string>() is { } id && lands.Contains(id))
                        yield return new SetEdit($"/plates/{i}/lands/{j}/evidence", "proved");
    }
}
