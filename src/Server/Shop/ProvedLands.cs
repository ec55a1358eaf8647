using System.Text.Json.Nodes;
using FaithfulBracket.Core.Blocks;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Prove;
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
internal sealed class ProvedLands(
    JobPlans plans,
    Passports passports,
    HeldDocuments held,
    [FromKeyedServices("block")] Library library
)
{
    public IReadOnlyList<ProvedBlock> Compute(long id, CancellationToken cancel)
    {
        var job = plans.Today(id, cancel);
        var stands = passports.ByPart(id, job).ToDictionary(c => (c.Board, c.Part), c => c.Contact.Stand);
        // what was mounted by an older version bears out nothing of the newest
        var older = held.List(id).Where(h => h.Kind == "block").Select(h => h.Id).ToHashSet();
        var proved = new List<ProvedBlock>();
        foreach (var pair in job.Order.Pairs)
        {
            var borneOut = job
                .Plan.Pads.Pairs.Where(p => p.Pair == pair.Key)
                .SelectMany(p => BorneOut(p, stands))
                .ToHashSet();
            if (borneOut.Count == 0 || older.Contains(pair.Block.Id) || library.Find(pair.Block.Id) is null)
                continue;
            var kept = library.Get(pair.Block.Id);
            var document = JsonNode.Parse(kept.Document)!;
            var lands = InDocument(document).Where(l => borneOut.Contains((l.Plate, l.Land))).ToList();
            if (lands.Count > 0)
                proved.Add(
                    new(
                        pair.Key,
                        pair.Block.Id,
                        $"{pair.Block.Maker} {pair.Block.Model}",
                        [.. lands.Select(l => l.Land)],
                        DocumentEditor
                            .Apply(document, [.. lands.Select(l => new SetEdit($"{l.At}/evidence", "proved"))])
                            .Text,
                        kept.Version
                    )
                );
        }
        return proved;
    }

    /// <summary>Lands that say how they are known, by plate and id, with every part on them confirmed.</summary>
    private static IEnumerable<(string Plate, string Land)> BorneOut(
        PairPads pair,
        Dictionary<(string Board, string Part), ContactStand> stands
    ) =>
        pair.Stack is not { } stack
            ? []
            : stack
                .Laid.Pairings()
                .GroupBy(x => x.Land)
                .Where(g =>
                    g.Key.Evidence is { } known
                    && known != FigureGrade.Proved
                    && g.All(x => stands.GetValueOrDefault((pair.Board, x.Part.Id)) == ContactStand.Confirmed)
                )
                .SelectMany(g =>
                    stack.Laid.Block.Plates.Where(p => p.Lands.Contains(g.Key)).Select(p => (p.Id, g.Key.Id))
                );

    private static IEnumerable<(string Plate, string Land, string At)> InDocument(JsonNode document)
    {
        if (document["plates"] is not JsonArray plates)
            yield break;
        for (var i = 0; i < plates.Count; i++)
            if (plates[i]?["lands"] is JsonArray lands)
                for (var j = 0; j < lands.Count; j++)
                    yield return ($"{plates[i]!["id"]}", $"{lands[j]!["id"]}", $"/plates/{i}/lands/{j}");
    }
}
