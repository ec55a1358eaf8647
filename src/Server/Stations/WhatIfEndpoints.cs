using FaithfulBracket.Core;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Mount;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads;
using FaithfulBracket.Core.Pads.Section;
using FaithfulBracket.Core.Plans;
using FaithfulBracket.Core.Prove;
using FaithfulBracket.Core.Prove.Faults;
using FaithfulBracket.Formats.Json;
using FaithfulBracket.Server.Http;
using FaithfulBracket.Server.Shop;
using FaithfulBracket.Server.Words;
using FaithfulBracket.Server.Words.Stations;
using FaithfulBracket.Store;
using Microsoft.AspNetCore.Http.HttpResults;

namespace FaithfulBracket.Server.Stations;

internal sealed record PracticeMove(string Hole, double Turns);

/// <param name="Seed">Names the bench: the same number, the same fault.</param>
/// <param name="GiveUp">Tells what it was.</param>
/// <param name="Two">Whether two things are wrong at once.</param>
internal sealed record TrainingAsk(int Seed, IReadOnlyList<TrainingCheck> Checks, bool GiveUp, bool Two);

/// <summary>What a covered part can show when it is looked at.</summary>
internal sealed record PartMarks(string Part, IReadOnlyList<ImprintMark> Marks);

internal sealed record PracticeAsk(IReadOnlyList<PracticeMove> Moves);

/// <summary>
/// Questions about a job that change nothing: other pads, turns of one's own, how the board bows. Each is asked of
/// the same laid pair that the
/// plan was calculated from; pair and board name it, absent for the first.
/// </summary>
internal static class WhatIfEndpoints
{
    private const int MaxMoves = 2000;

    public static void Map(IEndpointRouteBuilder app)
    {
        var job = app.MapGroup("/api/jobs/{id:long}").WithTags("what if");
        job.MapGet("/alternatives", OtherPads);
        job.MapPost("/practice", PractiseAsync).Accepts<PracticeAsk>("application/json");
        job.MapGet("/bow", Bow);
        job.MapGet("/faults", Suspects);
        job.MapPost("/trainer", TrainAsync).Accepts<TrainingAsk>("application/json");
        job.MapGet("/imprint-marks", Marks);
        job.MapGet("/section", Section);
        job.MapGet("/pad-fault", Faulty);
    }

    /// <summary>The stack cut through between two points of the board.</summary>
    private static Ok<SectionResult> Section(
        long id,
        double x1,
        double y1,
        double x2,
        double y2,
        string? pair,
        string? board,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        foreach (var (name, v) in (ReadOnlySpan<(string, double)>)[("?x1", x1), ("?y1", y1), ("?x2", x2), ("?y2", y2)])
            if (!(Math.Abs(v) <= 5000))
                throw new InputException(name, PhotoEndpointsWords.ExpectedMillimetresOnBoard);
        if (Math.Abs(x1 - x2) + Math.Abs(y1 - y2) < 1)
            throw new InputException("?x2", WhatIfEndpointsWords.ChooseTwoPointsAtLeastMillimetre);
        var job = plans.Today(id, cancel);
        var piece = board is null
            ? job.Order.First
            : job.Order.Find(board) ?? throw new InputException("?board", MissingWords.OrderHasNoBoard(board));
        var pads = job.Plan.Pads.Pairs.FirstOrDefault(p => p.Board == piece.Key && (pair is null || p.Pair == pair));
        var laid = job
            .Plan.Match.Laid()
            .FirstOrDefault(l => l.On.Board == piece.Key && (pair is null || l.Pair.Key == pair));
        return TypedResults.Ok(
            SectionCut.Compute(
                pads?.Stack?.Board ?? piece.Board,
                laid.On?.Laid,
                pads?.Gaps.PlaneMm,
                pads?.Seating,
                pads?.Pads ?? [],
                new(x1, y1),
                new(x2, y2)
            )
        );
    }

    /// <summary>One pad laid wrong: what would be seen and felt.</summary>
    private static Ok<PadFaultResult> Faulty(
        long id,
        string part,
        string fault,
        string? pair,
        string? board,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        if (!EnumNames<PadFault>.TryParse(fault, out var kind))
            throw new InputException(
                "?fault",
                SheetEndpointsWords.ExpectedOneOfFound(string.Join(", ", EnumNames<PadFault>.All), fault)
            );
        var seated = Seated(plans.Today(id, cancel).Plan, pair, board);
        return TypedResults.Ok(PadFaults.Try(seated.Stack!.Finished(), part, kind));
    }

    /// <summary>What the last after reading says is wrong, ranked.</summary>
    private static Ok<FaultResult> Suspects(
        long id,
        string? pair,
        string? board,
        JobPlans plans,
        JobEntries papers,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var job = plans.Today(id, cancel);
        var seated = Seated(job.Plan, pair, board);
        var after =
            JobReadings.After(papers.Readings(id), seated.Board, job, shop.Settings)
            ?? throw new InputException("", WhatIfEndpointsWords.NoAfterReadingYet);
        var first = job.Order.First.Key;
        var pads = seated.Pads;
        return TypedResults.Ok(
            JobSuspects.Compute(
                seated.Stack!,
                after,
                [
                    .. job
                        .Sheets.Imprint.Where(l => (l.Board ?? first) == seated.Board)
                        .Select(l => new ImprintLook(l.Part, l.Mark)),
                ],
                (pads.Count, pads.Sum(p => p.WidthMm * p.DepthMm) / 100, job.Plan.Paste.MassG),
                shop.Settings,
                cancel
            )
        );
    }

    /// <summary>What each covered part can show.</summary>
    private static Ok<IReadOnlyList<PartMarks>> Marks(
        long id,
        string? pair,
        string? board,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        var seated = Seated(plans.Today(id, cancel).Plan, pair, board);
        return TypedResults.Ok<IReadOnlyList<PartMarks>>([
            .. seated.Gaps.Pairs.Select(g => new PartMarks(
                g.Part,
                ImprintOdds.For(seated.Stack!.Board.FindPart(g.Part)?.Kind is PartKind.Die or PartKind.Lid)
            )),
        ]);
    }

    private static async Task<Ok<TrainingBench>> TrainAsync(
        long id,
        HttpRequest request,
        string? pair,
        string? board,
        JobPlans plans,
        PlateMemory plates,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var ask = await Bodies.ReadAsync(
            request,
            o =>
            {
                var checks = o.Objects(
                    "checks",
                    c => new TrainingCheck(c.Choice<FaultKind>("kind"), c.OptionalText("part", 60))
                );
                if (checks.Count > FaultTrainer.MaxChecks)
                    o.Fault("checks", LimitWords.ExpectedAtMostFound(FaultTrainer.MaxChecks, checks.Count));
                return new TrainingAsk(
                    o.Integer("seed", 0, int.MaxValue),
                    checks,
                    o.Flag("giveUp", otherwise: false),
                    o.Flag("two", otherwise: false)
                );
            }
        );
        var stack = Seated(plans.Today(id, cancel).Plan, pair, board).Stack!;
        var usual = shop.Settings;
        var at = new HeatConditions(null, usual.CoolantInC, usual.FlowLPerMin);
        var bench = FaultBench.Create(plates.Compute(stack.Laid, at.FlowLMin, cancel), stack, at);
        return TypedResults.Ok(
            FaultTrainer.Create(
                bench,
                stack.Board.Parts.ToDictionary(p => p.Id, p => p.Kind),
                ask.Seed,
                ask.Checks,
                ask.GiveUp,
                FaultPriors.From(usual.Faults),
                ask.Two
            )
        );
    }

    internal static PairPads Seated(JobPlan plan, string? pair, string? board) =>
        JobPlanner.Seated(plan, pair, board) ?? throw new InputException("", ExpectEndpointsWords.ChooseBlockAndPaste);

    /// <summary>Every pad at hand tried on all places like this one.</summary>
    private static Ok<IReadOnlyList<Alternative>> OtherPads(
        long id,
        string? part,
        string? pair,
        string? board,
        JobPlans plans,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var seated = Seated(plans.Today(id, cancel).Plan, pair, board);
        var places = LikePads.Places(seated.Pads, part);
        if (places.Count == 0)
            throw new InputException(
                "?part",
                part is null ? WhatIfEndpointsWords.SayWhosePad : WhatIfEndpointsWords.HasNoPadInThisJob(part)
            );
        var atHand = LikePads.AtHand(shop.Drawer, seated.Stack!.Block);
        return TypedResults.Ok(Alternatives.For(seated.Stack.Finished(), places, atHand));
    }

    private static async Task<Ok<PracticeResult>> PractiseAsync(
        long id,
        HttpRequest request,
        string? pair,
        string? board,
        JobPlans plans,
        CancellationToken cancel
    )
    {
        var moves = await Bodies.ReadAsync(
            request,
            o =>
            {
                if (!o.Has("moves"))
                    o.Fault("moves", WhatIfEndpointsWords.MissingExpectedListOfTurnsEach);
                var list = o.Objects("moves", m => (m.Text("hole"), m.Number("turns", 0.001, 100)));
                if (list.Count > MaxMoves)
                    o.Fault("moves", WhatIfEndpointsWords.ExpectedAtMostMovesFound(MaxMoves, list.Count));
                return list;
            }
        );
        var job = plans.Today(id, cancel);
        var all = Ways.From(job.Order, job.Sheets.Ways).AllScrewsIn;
        var seated = Seated(job.Plan, pair, board);
        return TypedResults.Ok(Tightening.Practise(seated.Stack!.WhileMounting(all), moves, cancel: cancel));
    }

    private static Ok<MountedBowResult> Bow(
        long id,
        string? pair,
        string? board,
        JobPlans plans,
        LibraryCache shop,
        CancellationToken cancel
    )
    {
        var seated = Seated(plans.Today(id, cancel).Plan, pair, board);
        return TypedResults.Ok(
            MountedBow.Compute(seated.Stack!.Laid, seated.Seating!, settings: shop.Settings, cancel: cancel)
        );
    }
}
