using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Heat;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Pads.Seating;
using FaithfulBracket.Core.Words.Prove.Faults;

namespace FaithfulBracket.Core.Prove.Faults;

/// <summary>A job's own reading put to the fault finder.</summary>
public static class JobSuspects
{
    /// <summary>What a logger's sensor is good for where nobody says, K.</summary>
    private const double SigmaK = 1;

    /// <exception cref="InputException">The reading names no coolant, or the block covers nothing that was read.</exception>
    public static FaultResult Compute(
        StackUp stack,
        Reading after,
        IReadOnlyList<ImprintLook> looks,
        (int Pads, double PadsCm2, double PasteG) lift,
        ShopSettings shop,
        CancellationToken cancel = default
    )
    {
        if (after.CoolantC is null)
            throw new InputException("", JobSuspectsWords.AfterReadingNamesNoCoolant);
        var at = JobConditions.From(after, shop, stack.Board);
        var plate = BlockHeat.Compute(stack.Laid, at.PowerW, at.FlowLMin, cancel);
        var bench = FaultBench.Create(plate, stack, at);
        List<string> Covered(PartKind kind) =>
            [.. bench.Parts.Select(p => p.Id).Where(id => stack.Board.FindPart(id)?.Kind == kind)];
        List<SensorReading> readings = [];
        if (Covered(PartKind.Die) is { Count: > 0 } dies)
            readings.Add(new(dies, SensorKind.Mean, after.DieC, SigmaK));
        if (after.MemoryC is { } memory && Covered(PartKind.Memory) is { Count: > 0 } chips)
            readings.Add(new(chips, SensorKind.Max, memory, SigmaK));
        if (after.PowerStageC is { } stage && Covered(PartKind.PowerStage) is { Count: > 0 } stages)
            readings.Add(new(stages, SensorKind.Max, stage, SigmaK));
        if (readings.Count == 0)
            throw new InputException("", JobSuspectsWords.NothingThatWasReadLiesBare);
        // a look at what is covered no more says nothing
        var covered = bench.Parts.Select(p => p.Id).ToHashSet();
        var found = FaultFinder.Find(
            bench,
            readings,
            FaultPriors.From(shop.Faults),
            looks: [.. looks.Where(l => covered.Contains(l.Part))],
            cancel: cancel
        );
        return found with
        {
            Lift = LiftOrNot.Compute(
                found,
                Expect.Compute(plate, stack.Pads, stack.Materials, stack.Paste, at),
                bench.Parts.Where(p => p.IsDie).Select(p => p.Id).ToHashSet(),
                lift.Pads,
                lift.PadsCm2,
                lift.PasteG,
                shop.Prices
            ),
        };
    }
}
