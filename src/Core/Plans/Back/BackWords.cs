using FaithfulBracket.Core.Bench;
using FaithfulBracket.Core.Boards;
using FaithfulBracket.Core.Orders;
using FaithfulBracket.Core.Teardown;
using FaithfulBracket.Core.Words.Mount;
using FaithfulBracket.Core.Words.Plans.Back;
using FaithfulBracket.Core.Words.Prep;

namespace FaithfulBracket.Core.Plans.Back;

/// <summary>The steps of the way back in words.</summary>
internal static class BackWords
{
    private static WorkStep Step(
        string target,
        StepKind kind,
        Message title,
        string done,
        Message? detail,
        Message? caution,
        string? scope
    ) =>
        new()
        {
            Id = new(Station.Care, scope, $"restore-{target}"),
            Kind = kind,
            Title = title,
            Done = done,
            Detail = detail,
            Caution = caution,
        };

    /// <param name="acts">What takes back the acts of the step.</param>
    public static WorkStep Off(WorkOrder order, WorkStep step, IReadOnlyList<Act> acts)
    {
        var (thing, count) = (acts[^1].Thing, acts.Count);
        var pair = step.Pair is { } key ? order.Pairs.First(p => p.Key == key) : null;
        var block = pair is null ? "the block" : order.Name(pair);
        var (kind, title, detail) = thing.Kind switch
        {
            ThingKind.Fitting => (
                StepKind.Plug,
                BackSentences.UnscrewOfOver(count == 1 ? "fitting" : $"{count} fittings", block),
                BackSentences.HosesOffWithThem
            ),
            ThingKind.Sink => (
                StepKind.Fit,
                BackSentences.TwistOffNeverLever(count == 1 ? "the sink" : $"the {count} sinks"),
                BackSentences.WarmOnesLetGoSooner
            ),
            ThingKind.Bracket => (StepKind.Fit, BackSentences.TakeBlocksBracketOff, null),
            ThingKind.Link => (StepKind.Fit, BackSentences.DrawRigidLinkOutOfBoth, (Message)$"A cloth under it."),
            ThingKind.Board => (
                StepKind.Lift,
                BackSentences.TakeOutOfMachine(order.Pieces.Count > 1 ? $"card {thing.Owner}" : "the board"),
                BackSentences.BracketLooseFirstThenSlotsLatch
            ),
            ThingKind.Posts => (StepKind.Fit, BackSentences.TakePostsOutHoldPlate, null),
            ThingKind.Backplate when acts.Any(a => a.Do == Verb.Unscrew) => (
                StepKind.BackPlate,
                BackSentences.TakeOutAndBlocksBackPlate(
                    HowMany.Count(acts.Where(a => a.Do == Verb.Unscrew).Sum(a => a.Count ?? step.Count ?? 0), "screw")
                ),
                BackSentences.PadsLeaveWith
            ),
            ThingKind.Backplate => (StepKind.Fit, BackSentences.TakeBackPlateOff, null),
            ThingKind.Gasket => (StepKind.Fit, BackSentences.TakeRubberGasketOff, null),
            ThingKind.Piece => (
                StepKind.BackPlate,
                BackSentences.TakeBlocksScrewsOutOfStock,
                BackSentences.ItGoesBackWithOwnScrews
            ),
            ThingKind.Lead => (StepKind.Unplug, BackSentences.UnplugLeadsOf(block), null),
            ThingKind.Ribbon => (
                StepKind.Unplug,
                BackSentences.UnplugRibbonBetweenBoards,
                (Message)$"Latch open first."
            ),
            ThingKind.Levers or ThingKind.Clamp or ThingKind.Processor => (
                StepKind.Seat,
                BackSentences.LeverUpProcessorOutByEdges,
                BackSentences.ItGoesIntoOwnBox
            ),
            _ => (StepKind.Fit, BackSentences.TakeOffWhatPut(step.Title), (Message?)null),
        };
        return Step($"undo-{step.Id.Target}", kind, title, "Off", detail, null, step.Id.Scope) with
        {
            Board = step.Board,
            Pair = step.Pair,
            Face = step.Face,
            Targets = step.Targets,
            Feel = kind is StepKind.Fit or StepKind.Plug or StepKind.Seat or StepKind.BackPlate
                ? BackSentences.ItComesWithoutForce
                : null,
        };
    }

    public static WorkStep BlockOff(WorkOrder order, IReadOnlyList<Pair> blocks, string board, int screws)
    {
        var die = order.Find(board)!.Board.Parts.Any(p => p.Kind is PartKind.Die or PartKind.Lid);
        var turned = screws switch
        {
            0 => BackSentences.WhatHoldsItLetLooseEvenly,
            2 => BackSentences.ScrewsByTurnsAndLittle,
            _ when die => BackSentences.OuterOnesFirstDieRingLast(HowMany.Count(screws, "screw")),
            _ => BackSentences.OuterOnesFirstThenInCross(HowMany.Count(screws, "screw")),
        };
        var pair = blocks[0];
        var off = pair.BoardKeys(order).Count > 1 ? $" off board {board}" : " off";
        return Step(
            "block",
            StepKind.Unscrew,
            $"Take {string.Join(" and ", blocks.Select(order.Name))}{(blocks.Count > 1 ? BackSentences.JoinedAsThey : "")}{off}: {turned}",
            "Block is off",
            BackSentences.QuarterTurnEach,
            BackSentences.RockAndTwistNeverLever
                + (die ? (Message)$"bare silicon chips." : BackSentences.ItTearsWhatIsGlued),
            order.ScopeOf(pair, board)
        ) with
        {
            Board = board,
            Pair = pair.Key,
            Count = screws > 0 ? screws : null,
            Counted = screws > 0 ? CountOf.Screws : null,
        };
    }

    /// <summary>A memory module out from between its carriers.</summary>
    public static WorkStep CarriersOff(WorkOrder order, Pair pair, string board) =>
        Step(
            "block",
            StepKind.Lift,
            BackSentences.PartCarriersOfModuleAndTake(board),
            "Module is out",
            BackSentences.SlideThinPlasticCardAlongPad,
            BackSentences.NeverBendModuleToPeel,
            order.ScopeOf(pair, board)
        ) with
        {
            Board = board,
            Pair = pair.Key,
        };

    private static readonly (PartKind Kind, string Words)[] Kinds =
    [
        (PartKind.Die, "die"),
        (PartKind.Lid, "lid"),
        (PartKind.Memory, "memory"),
        (PartKind.PowerStage, "power stages"),
        (PartKind.Inductor, "inductors"),
        (PartKind.BridgeChip, "bridge chip"),
        (PartKind.Controller, "controllers"),
    ];

    public static WorkStep Clean(WorkOrder order, Workpiece piece, Face face, IReadOnlyList<string> parts)
    {
        var kinds = parts.Select(p => piece.Board.FindPart(p)?.Kind ?? PartKind.Lid).ToHashSet();
        List<string> named = [.. Kinds.Where(k => kinds.Contains(k.Kind)).Select(k => k.Words)];
        if (named.Count == 0)
            named = ["faces"];
        var list = named.Count == 1 ? named[0] : $"{string.Join(", ", named.SkipLast(1))} and {named[^1]}";
        return Step(
            face == Face.Back ? "clean-back" : "clean",
            StepKind.Clean,
            BackSentences.CleanOfPadsAndPaste(list, face == Face.Back ? " behind the board" : "", order.On(piece.Key)),
            "Clean",
            BackSentences.AlcoholAndLintFreeClothEvery,
            PrepStationWords.AlcoholIsFlammable,
            order.ScopeOf(piece)
        ) with
        {
            Board = piece.Key,
            Face = face,
            Targets = parts,
        };
    }

    public static WorkStep Pads(WorkOrder order, Workpiece piece, StockContact contact, string under)
    {
        var pads = contact.Pads.DistinctBy(p => p.Pad).ToList();
        var groups = pads.GroupBy(p => p.Mm)
            .Select(g => FormattableString.Invariant($"{g.Key:0.0#} mm on {string.Join(", ", g.Select(p => p.Part))}"));
        return Step(
            "pads",
            StepKind.Lay,
            BackSentences.CutAndLayUnderAsThick(HowMany.Count(pads.Count, "new pad"), under, order.On(contact.Board)),
            "Pads laid",
            BackSentences.OldOnesWerePressedOnce(string.Join(". ", groups)),
            BackSentences.FilmLeftOnPadOverheatsChip,
            order.ScopeOf(piece)
        ) with
        {
            Board = contact.Board,
            Face = contact.Side,
            Targets = [.. pads.Select(p => p.Part)],
        };
    }

    public static WorkStep Paste(WorkOrder order, Workpiece piece, StockContact contact)
    {
        var parts = contact.Pasted.Select(f => f.Key.Split('@')[0]).ToList();
        var board = order.Find(contact.Board)!.Board;
        // a part that the board does not have is the lid of its processor
        var thing = parts.Select(p => board.FindPart(p)?.Kind ?? PartKind.Lid).Distinct().ToList() switch
        {
            [PartKind.Die] => parts.Count == 1 ? "the die" : $"the {parts.Count} dies",
            [PartKind.Lid] => "the lid",
            _ => string.Join(" and ", parts),
        };
        return Step(
            "paste",
            StepKind.Spread,
            BackSentences.PasteOnSpreadToFullCover(thing, order.On(contact.Board)),
            "Covered",
            BackSentences.AsMuchAsPasteStationSays,
            null,
            order.ScopeOf(piece)
        ) with
        {
            Board = contact.Board,
            Targets = parts,
        };
    }

    /// <summary>One act of the strip-down backwards.</summary>
    public static WorkStep Back(WorkOrder order, Workpiece piece, TeardownPlan teardown, RestoreStep r)
    {
        var length = teardown.Tray.FirstOrDefault(t => t.Cell == r.Cell)?.LengthMm;
        var assembly = piece.Board.Assembly!;
        var screws = r.Action == RestoreAction.Fasten;
        var group = screws ? assembly.Fasteners.First(f => f.Id == r.Target) : null;
        var (kind, title, done) = r.Action switch
        {
            RestoreAction.Fasten => (
                StepKind.Fasten,
                FittedAgainWords.PutOfGroupBackOut(HowMany.Count(r.Count, "screw"), r.Target, r.Cell),
                $"{r.Count} in"
            ),
            RestoreAction.Plug => (StepKind.Connect, (Message)$"Plug the {r.Name} in", "Plugged"),
            _ => (StepKind.Fit, (Message)$"Set the {r.Name} back", "Set"),
        };
        return Step(
            $"back-{r.Target}",
            kind,
            title,
            done,
            screws
                    ? (Message)
                        $"{r.Name}{(length is { } l ? FittedAgainWords.NoLongerOneGoesInHere(l) : "")}.{(group!.Ring is not null ? BackSentences.AllStartedByHandThen : "")}{(group.Seal ? BackSentences.SealOverThemStaysBroken : "")}"
                : kind == StepKind.Fit ? BackSentences.OuterFilmsOffAndCounted
                : null,
            screws && length is not null ? FittedAgainWords.LongerScrewInShortHoleCracks : null,
            order.ScopeOf(piece)
        ) with
        {
            Board = TeardownStation.BoardOf(order, piece, r.Target),
            Face = r.Face,
            Driver = r.Driver,
            Count = screws ? r.Count : null,
            Counted = screws ? CountOf.Screws : null,
            Targets = [r.Target],
            Places = TeardownStation.Places(piece.Board, assembly, r.Target),
            Facts = screws
                ?
                [
                    new(r.Driver!, DriverNames.Describe(r.Driver!)),
                    new($"{r.Count}", r.Count == 1 ? "screw" : "screws"),
                    new(r.Cell ?? "–", "tray cell"),
                ]
                : [],
        };
    }

    public static WorkStep Pack(WorkOrder order, IReadOnlyList<Act> acts)
    {
        var blocks = order.Pairs.Where(p => acts.Any(a => a.Thing == new ThingId(ThingKind.Block, p.Key))).ToList();
        var what =
            blocks.Count == 0 ? BackSentences.WhatIsLeft
            : blocks.Count == 1 ? BackSentences.WithScrewsAndFittings(order.Name(blocks[0]))
            : BackSentences.BlocksWithTheirScrewsAndFittings;
        return Step(
            "pack",
            StepKind.Store,
            BackSentences.PackEachWithLabel(what),
            "Packed",
            acts.Any(a => a.Thing.Kind == ThingKind.Clamp) ? BackSentences.ClampGoesWith : null,
            null,
            null
        );
    }
}
