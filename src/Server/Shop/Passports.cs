using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// The contact passport: what every contact is forecast to be, and what confirms or doubts it: edges, imprints, sensors.
/// </summary>
internal sealed class Passports(
    JobPlans plans,
    SignOffs signOffs,
    JobPapers papers,
    PlateMemory plates,
    ShopMemory shop
)
{
    /// <summary>What a sensor may be off beside the forecast's own range, K.</summary>
    private const double SensorK = 2;

    public IReadOnlyList<PassportContact> Of(long id, CancellationToken cancel) =>
        [.. ByPart(id, plans.Today(id, cancel), cancel).Select(c => c.Contact)];

    /// <summary>Every contact with its board's key and its part.</summary>
    public IReadOnlyList<(string Board, string Part, PassportContact Contact)> ByPart(
        long id,
        PlannedJob job,
        CancellationToken cancel
    )
    {
        var first = job.Order.First.Key;
        var forecasts = Passport.Contacts(job.Order, job.Plan.Pads.Pairs);
        var seen = forecasts.ToDictionary(f => (f.Board, f.Part.Id), _ => new List<PassportSeen>());
        void Say(string board, string part, PassportSeen what)
        {
            if (seen.TryGetValue((board, part), out var list))
                list.Add(what);
        }

        foreach (var look in job.Sheets.Imprint)
            Say(
                look.Board ?? first,
                look.Part,
                new(
                    $"imprint: {EnumNames<ImprintMark>.Of(look.Mark).Replace('-', ' ')}",
                    FigureSource.ByHand,
                    look.Mark == ImprintMark.Even
                )
            );
        var signed = StepStands.Signed(SignDesk.Read(job.Plan, signOffs.Events(id)));
        foreach (var piece in job.Order.Pieces)
            if (signed.Contains(new(Station.Prove, job.Order.ScopeOf(piece), "edges")))
                foreach (var f in forecasts.Where(f => f.Board == piece.Key))
                    Say(f.Board, f.Part.Id, new("edges: even all round", FigureSource.ByHand, true));
        var readings = papers.Readings(id);
        foreach (var pair in job.Plan.Pads.Pairs.Where(p => p is { Stack: not null, Seating: not null }))
        foreach (var (part, what) in Sensors(pair, readings, first, cancel))
            Say(pair.Board, part, what);
        return
        [
            .. forecasts.Select(f =>
                (f.Board, f.Part.Id, new PassportContact(f.Contact, f.Of, seen[(f.Board, f.Part.Id)]))
            ),
        ];
    }

    /// <summary>What the sensors read after, against what is expected there under the same conditions.</summary>
    private List<(string Part, PassportSeen What)> Sensors(
        PairPads pair,
        IReadOnlyList<ReadingRow> readings,
        string first,
        CancellationToken cancel
    )
    {
        var row = readings.LastOrDefault(r => r.Phase == "after" && (r.Board ?? first) == pair.Board);
        if (row is not { CoolantC: not null })
            return [];
        var after = JobReadings.After(readings, pair.Board, first, shop.Settings);
        var at = JobConditions.Of(after, shop.Settings);
        var stack = pair.Stack!;
        ExpectResult expected;
        try
        {
            var plate = plates.Of(stack.Laid, at.FlowLMin, cancel).At(at.PowerW);
            expected = Expect.Of(plate, stack.Pads, stack.Materials, stack.Paste, at);
        }
        // a block of which nothing can be expected has no sensor to agree with
        catch (InputException)
        {
            return [];
        }
        var list = new List<(string, PassportSeen)>();
        void Compare(double? read, string sensor, Func<PartKind, bool> of)
        {
            if (read is not { } c)
                return;
            var hottest = expected
                .Parts.Where(p => stack.Board.FindPart(p.Part) is { } part && of(part.Kind) && p.Watts > 0)
                .MaxBy(p => p.C);
            if (hottest is null)
                return;
            list.Add(
                (
                    hottest.Part,
                    new(
                        FormattableString.Invariant($"{sensor} {c:0} °C, {hottest.C:0} ± {hottest.RangeK:0} expected"),
                        row.Source ?? FigureSource.ByHand,
                        c <= hottest.C + hottest.RangeK + SensorK
                    )
                )
            );
        }
        Compare(row.DieC, "die", k => k is PartKind.Die);
        Compare(row.MemoryC, "memory", k => k == PartKind.Memory);
        Compare(row.PowerStageC, "power stages", k => k == PartKind.PowerStage);
        return list;
    }
}
