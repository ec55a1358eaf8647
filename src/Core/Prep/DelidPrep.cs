using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Sockets;
using FaithfulBracket.Core.Words.Prep;

namespace FaithfulBracket.Core.Prep;

/// <summary>The lid off for good: warmed, sheared, scraped, soaked, coated.</summary>
internal static class DelidPrep
{
    /// <summary>Target of the step that covers bare parts; metal stays closed until it is signed.</summary>
    public const string CoatTarget = "coat";

    /// <summary>Strokes a bond usually takes, counted from the first.</summary>
    private const int UsualStrokes = 6;

    public static StepId Coat(WorkOrder order, SeatPlan seat) => new(Station.Prep, Scope(order, seat), CoatTarget);

    private static string? Scope(WorkOrder order, SeatPlan seat) =>
        order.ScopeOf(order.Pairs.First(p => p.Key == seat.Pair));

    /// <summary>From the jig to flat dies.</summary>
    public static IEnumerable<WorkStep> Opening(WorkOrder order, SeatPlan seat, Ways ways, ShopSettings shop)
    {
        if (!seat.Bare)
            return [];
        var seated = order.Find(seat.Board)!.Seated!;
        var lidded = HeightChain.Lid(seated.Processor) is not null;
        var soldered = DirectDie.Soldered(seated.Processor);
        var at = new SeatThings(seat);
        List<ThingId> dies =
        [
            .. HeightChain.Dies(seated.Processor).Select(d => at.Face(SeatedBoard.NameOn(seated, d.Id))),
        ];
        WorkStep Step(string target, StepKind kind, Message title, Message detail, Message caution, string done) =>
            DelidPrep.Step(order, seat, target, kind, title, detail, caution, done);
        List<WorkStep> steps = [];
        if (SeatedBoard.IsIn(order.Find(seat.Board)!))
            steps.Add(Clamp(order, seat, lidded, ways));
        if (lidded)
        {
            steps.Add(
                Step(
                    "jig",
                    StepKind.Prepare,
                    DelidPrepWords.LayProcessorInJigCornerMark,
                    DelidPrepWords.SubstrateLiesFlatInBed,
                    DelidPrepWords.WrongWayRoundSlideCuts,
                    "Mark to mark"
                ) with
                {
                    Picture = StepPicture.Jig,
                    Feel = DelidPrepWords.ItLiesFlatInBed,
                    Acts = [new(Verb.Insert, at.Processor, ThingId.Jig)],
                }
            );
            if (soldered && ways.WarmLid == WarmLid.Warm && seat.Warm is { } warm)
                steps.Add(
                    Step(
                        "warm",
                        StepKind.Warm,
                        DelidPrepWords.WarmItInJigToMinutes(warm.ToC, Math.Ceiling(warm.Minutes)),
                        DelidPrepWords.RightThroughOfPackageEstimated(warm.MassG),
                        DelidPrepWords.JigIsHot,
                        "Warm through"
                    ) with
                    {
                        TimerS = (int)(Math.Ceiling(warm.Minutes) * 60),
                        Acts = [new(Verb.Warm, at.Processor)],
                        Facts =
                        [
                            new(FormattableString.Invariant($"{warm.ToC:0} °C"), DelidPrepWords.JigsWordFirst),
                            new(FormattableString.Invariant($"{Math.Ceiling(warm.Minutes):0} min"), "at least"),
                        ],
                    }
                );
            steps.Add(
                Step(
                    "shear",
                    StepKind.Shear,
                    DelidPrepWords.ShearLidFewTurnsOneWay,
                    DelidPrepWords.FarSideIsLoosened(soldered ? "solder gives slowly" : DelidPrepWords.GlueGivesAtOnce),
                    DelidPrepWords.EyeProtectionNeverPryWithSteel,
                    "Lid is off"
                ) with
                {
                    Count = UsualStrokes,
                    Counted = CountOf.Strokes,
                    Acts = [new(Verb.Shear, at.Lid), new(Verb.Remove, at.Processor)],
                    Facts = [new($"{UsualStrokes}", "strokes or more")],
                }
            );
            steps.Add(
                Step(
                    "glue",
                    StepKind.Scrape,
                    DelidPrepWords.RemoveGlueFromSubstrate,
                    DelidPrepWords.CutAcrylicOrCardsEdge,
                    DelidPrepWords.NoSteelOneScratchCutsTrace,
                    "Glue is off"
                ) with
                {
                    Targets = seat.Coat,
                    Acts = [new(Verb.Scrape, at.Substrate)],
                }
            );
            if (soldered)
            {
                steps.Add(
                    Step(
                        "solder",
                        StepKind.Scrape,
                        DelidPrepWords.ScrapeBulkOfSolderOff(shop.SolderSoakS / 60),
                        DelidPrepWords.AlloyCreepsIntoSolderAndLets,
                        DelidPrepWords.GalliumGlovesTray,
                        "Soaked"
                    ) with
                    {
                        TimerS = shop.SolderSoakS,
                        Acts = [.. dies.SelectMany(d => new Act[] { new(Verb.Scrape, d), new(Verb.Wait, d) })],
                        Facts = [new($"{shop.SolderSoakS / 60} min", "soak")],
                    }
                );
                steps.Add(
                    Step(
                        "swab",
                        StepKind.Clean,
                        DelidPrepWords.WorkItAcrossAndLift,
                        DelidPrepWords.DampSwabNotSoakedWipe,
                        DelidPrepWords.WhatComesOffConducts,
                        "Flat and bright"
                    ) with
                    {
                        Count = 2,
                        Counted = CountOf.Rounds,
                        Acts = [.. dies.Select(d => new Act(Verb.Scrape, d))],
                        Facts = [new("2", "rounds or more")],
                    }
                );
            }
        }
        if (ways.Polish == Polish.Yes)
            steps.Add(
                Step(
                    "polish",
                    StepKind.Clean,
                    DelidPrepWords.PolishDiesFlatOnGlassEven,
                    DelidPrepWords.EveryStrokeTakesSiliconThatDoes,
                    DelidPrepWords.SiliconDustWetAndWipedUp,
                    "Polished"
                ) with
                {
                    Acts = [.. dies.Select(d => new Act(Verb.Polish, d))],
                }
            );
        return steps;
    }

    /// <summary>The clamp off; a package that has a lid to lose comes out with it.</summary>
    private static WorkStep Clamp(WorkOrder order, SeatPlan seat, bool lidded, Ways ways)
    {
        var at = new SeatThings(seat);
        var levers = order.Find(seat.Board)!.Seated!.Socket.Levers;
        Act off = new(Verb.Remove, at.Clamp);
        Act[] outOf =
            !lidded ? [off]
            : ways.Clamp == ProcessorAndClamp.ClampOff ? [off, new(Verb.Remove, at.Processor)]
            : [new(Verb.Remove, at.Processor), off];
        var up = levers switch
        {
            0 => "Clamp's screws loose",
            1 => "Lever up",
            _ => DelidPrepWords.LeversUpInTheirOrder,
        };
        return Step(
            order,
            seat,
            "clamp",
            StepKind.Seat,
            lidded ? DelidPrepWords.ProcessorOutByEdgesClampOff(up) : DelidPrepWords.ClampOffPackageStays(up),
            (
                !lidded ? DelidPrepWords.ItLiesLooseUntilFrameHolds
                : ways.Clamp == ProcessorAndClamp.ClampOff ? DelidPrepWords.ClampsScrewsFirstThenPackage
                : DelidPrepWords.PackageFirstThenClampsScrews
            )
                + DelidPrepWords.SomethingSoftUnderBoard
                + (lidded ? DelidPrepWords.CoverGoesOverContacts : Message.Empty)
                + DelidPrepWords.ClampAndScrewsIntoTray,
            DelidPrepWords.ContactsBendUnderFingertipAndScrew,
            lidded ? "Out, contacts covered" : "Clamp is off"
        ) with
        {
            Feel = lidded
                ? DelidPrepWords.LeverComesUpUnderSpringLoad
                : DelidPrepWords.LeverComesUpUnderSpringLoadPackage,
            Acts = [.. at.Unlatch(levers), .. outOf],
        };
    }

    /// <summary>What is bare round the dies is covered: after the last alcohol, before any metal.</summary>
    public static IEnumerable<WorkStep> Coating(WorkOrder order, SeatPlan seat, ShopSettings shop)
    {
        if (seat.Coat.Count == 0)
            yield break;
        yield return Step(
            order,
            seat,
            CoatTarget,
            StepKind.Coat,
            DelidPrepWords.CoatBarePartsRoundDiesGenerously(seat.Coat.Count),
            DelidPrepWords.StayOffOldGlueLine,
            DelidPrepWords.AlcoholStripsFreshCoat,
            "Coat is dry"
        ) with
        {
            Targets = seat.Coat,
            Picture = StepPicture.Coat,
            Acts = [.. seat.Coat.Select(c => new Act(Verb.Coat, new SeatThings(seat).Face(c)))],
            TimerS = shop.CoatDryS,
            Facts = [new($"{seat.Coat.Count}", "parts"), new($"{shop.CoatDryS / 60} min", "dry")],
        };
    }

    private static WorkStep Step(
        WorkOrder order,
        SeatPlan seat,
        string target,
        StepKind kind,
        Message title,
        Message detail,
        Message caution,
        string done
    ) => SeatSteps.Create(order, seat, Station.Prep, target, kind, title, detail, done) with { Caution = caution };
}
