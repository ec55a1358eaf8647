using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Words.Shop;
using FaithfulBracket.Store;

namespace FaithfulBracket.Server.Shop;

/// <summary>
/// The contact passport: what every contact is forecast to be, and what confirms or doubts it: edges, imprints, sensors.
/// </summary>
internal sealed class Passports(JobPlans plans, SignOffs signOffs, JobEntries papers)
{
    public IReadOnlyList<PassportContact> Create(long id, CancellationToken cancel) =>
        [.. ByPart(id, Job(id, cancel)).Select(c => c.Contact)];

    /// <summary>A finished job with the forecast it was finished with; one from before that was kept as it comes out today.</summary>
    private PlannedJob Job(long id, CancellationToken cancel) =>
        plans.Get(id, cancel) is { Contacts: not null } finished ? finished : plans.Today(id, cancel);

    /// <summary>Every contact with its board's key and its part.</summary>
    public IReadOnlyList<(string Board, string Part, PassportContact Contact)> ByPart(long id, PlannedJob job)
    {
        var first = job.Order.First.Key;
        var forecasts = job.Contacts ?? Passport.Contacts(job.Order, job.Plan.Pads.Pairs);
        var seen = forecasts.ToDictionary(f => (f.Board, f.Part), _ => new List<PassportSeen>());
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
                    $"imprint: {EnumNames<ImprintMark>.Name(look.Mark).Replace('-', ' ')}",
                    FigureSource.ByHand,
                    look.Mark == ImprintMark.Even
                )
            );
        var signed = StepStands.Signed(SignOffService.Read(job.Plan, signOffs.Events(id)));
        foreach (var piece in job.Order.Pieces)
            if (signed.Contains(new(Station.Prove, job.Order.ScopeOf(piece), "edges")))
                foreach (var f in forecasts.Where(f => f.Board == piece.Key))
                    Say(f.Board, f.Part, new(PassportsWords.EdgesEvenAllRound, FigureSource.ByHand, true));
        // a finished job was proved by the readings that it was finished with
        var until = job.Finished ? signOffs.FinishedAt(id) : null;
        var readings = papers
            .Readings(id)
            .Where(r => until is null || string.CompareOrdinal(r.At, until) <= 0)
            .ToList();
        foreach (var proof in job.Plan.Prove.Pairs)
            if (readings.LastOrDefault(r => r.Phase == "after" && (r.Board ?? first) == proof.Board) is { } row)
                foreach (var sensor in proof.Comparison.Sensors)
                    Say(
                        proof.Board,
                        sensor.Part,
                        new(
                            FormattableString.Invariant(
                                $"{sensor.Name} {sensor.MeasuredC:0} °C, {sensor.ExpectedC:0} ± {sensor.ExpectedPlusMinusK:0} expected"
                            ),
                            row.Source ?? FigureSource.ByHand,
                            sensor.State is SensorState.AsExpected or SensorState.Better
                        )
                    );
        return
        [
            .. forecasts.Select(f => (f.Board, f.Part, new PassportContact(f.Contact, f.Of, seen[(f.Board, f.Part)]))),
        ];
    }
}
