using FaithfulBracket.Core.Boards;

namespace FaithfulBracket.Core.Bench;

/// <summary>What every act needs of the bench, checked in the order of the codes.</summary>
public static class Needs
{
    /// <summary>What hands do on one face of a board: it has to be up.</summary>
    public static IReadOnlySet<Verb> OnFace { get; } =
        new HashSet<Verb>
        {
            Verb.Unscrew,
            Verb.Unplug,
            Verb.Plug,
            Verb.Start,
            Verb.Turn,
            Verb.Fasten,
            Verb.Clean,
            Verb.Scrape,
            Verb.Coat,
            Verb.Spread,
            Verb.Lay,
            Verb.Lift,
            Verb.Fit,
            Verb.BringBack,
            Verb.Open,
            Verb.Close,
            Verb.Insert,
            Verb.Remove,
        };

    /// <summary>Whether an act is done on the face of a board that its thing sits on.</summary>
    public static bool FacesBoard(Act act) =>
        // a board is lifted off its block, or a block off its board, whichever lies above
        OnFace.Contains(act.Do) && !(act.Do == Verb.Lift && act.Thing.Kind == ThingKind.Plate);

    /// <summary>What is in its place, so that something can rest on it.</summary>
    private static readonly Condition[] There = [Condition.On, Condition.Home, Condition.Taken];

    /// <summary>What holds nothing.</summary>
    private static readonly Condition[] Loosened =
    [
        Condition.Out,
        Condition.InBox,
        Condition.Off,
        Condition.Stored,
        Condition.UsedUp,
        Condition.Open,
    ];

    /// <summary>Kinds of things that a verb is done to; a verb that is not here is done to any.</summary>
    private static readonly Dictionary<Verb, ThingKind[]> Kinds = new()
    {
        [Verb.PowerOff] = [ThingKind.Power],
        [Verb.Measure] = [ThingKind.Power],
        [Verb.Run] = [ThingKind.Power, ThingKind.Pump],
        [Verb.Unplug] = [ThingKind.Lead, ThingKind.Ribbon],
        [Verb.Plug] = [ThingKind.Lead, ThingKind.Ribbon],
        [Verb.Cut] = [ThingKind.Pad, ThingKind.Putty],
        [Verb.Lay] = [ThingKind.Pad, ThingKind.Putty],
        [Verb.PeelInner] = [ThingKind.Film],
        [Verb.PeelOuter] = [ThingKind.Film],
        [Verb.Clean] = [ThingKind.Face],
        [Verb.Spread] = [ThingKind.Face],
        [Verb.TurnOver] = [ThingKind.Board],
        [Verb.Open] = [ThingKind.Levers, ThingKind.Clamp, ThingKind.Block],
        [Verb.Close] = [ThingKind.Levers, ThingKind.Clamp, ThingKind.Block],
        [Verb.Shear] = [ThingKind.Lid],
        [Verb.Join] = [ThingKind.Link, ThingKind.Ribbon],
        [Verb.Fill] = [ThingKind.Loop],
        [Verb.Bleed] = [ThingKind.Loop],
        [Verb.Drain] = [ThingKind.Loop],
    };

    /// <returns>The first need that fails; null where the act can be done.</returns>
    public static Unmet? FirstUnmet(Scene scene, BenchState state, Act act)
    {
        if (scene.Find(act.Thing) is not { } thing)
            return new(NeedCode.NotThere, [act.Thing]);
        if (act.To is { } to && scene.Find(to) is null)
            return new(NeedCode.NotThere, [to]);
        if (Kinds.TryGetValue(act.Do, out var kinds) && !kinds.Contains(act.Thing.Kind))
            return new(NeedCode.NotThere, [act.Thing]);
        var look = new Look(scene, state, act, thing);
        return look.Gone()
            ?? look.Already()
            ?? look.Powered()
            ?? look.Wet()
            ?? look.Order()
            ?? look.Reach()
            ?? look.Covered()
            ?? look.Held()
            ?? look.Tied()
            ?? look.Hands()
            ?? look.Falls()
            ?? look.FilmsOn()
            ?? look.Dirty()
            ?? look.Bare()
            ?? look.DryLoop()
            ?? look.LooseEnd()
            ?? look.Uncovered();
    }

    /// <summary>What was opened and has no fate: off and not put away, screws begun and not home, leads free.</summary>
    public static IReadOnlyList<ThingId> LooseEnds(Scene scene, BenchState state) =>
        [
            .. scene
                .Things.Where(t =>
                    state.Is(
                        t.Id,
                        Condition.Off,
                        Condition.Raised,
                        Condition.Out,
                        Condition.Free,
                        Condition.Open,
                        Condition.InJig
                    ) && t.Start is not (Condition.InBox or Condition.Out or Condition.Free)
                    || state.Is(t.Id, Condition.Started, Condition.Turned)
                )
                .Select(t => t.Id),
        ];

    private sealed record Look(Scene Scene, BenchState State, Act Act, SceneThing Thing)
    {
        private bool Does(params ReadOnlySpan<Verb> verbs) => verbs.Contains(Act.Do);

        private static Unmet? If(IEnumerable<ThingId> things, NeedCode code)
        {
            List<ThingId> list = [.. things];
            return list.Count > 0 ? new(code, list) : null;
        }

        public Unmet? Gone() =>
            State.Is(Act.Thing, Condition.UsedUp) && !Does(Verb.Store, Verb.Look, Verb.Photograph)
                ? new(NeedCode.NotThere, [Act.Thing])
                : null;

        public Unmet? Already()
        {
            var c = State[Act.Thing];
            var done = Act.Do switch
            {
                Verb.PowerOff => c == Condition.PowerOff,
                Verb.Unscrew => c == Condition.Out,
                Verb.Unplug => c == Condition.Free,
                Verb.Plug => c == Condition.Plugged,
                Verb.Fasten => c == Condition.Home,
                Verb.Start => c is Condition.Started or Condition.Turned or Condition.Home,
                Verb.Turn => c == Condition.Home,
                Verb.PeelInner or Verb.PeelOuter => c == Condition.FilmOff,
                Verb.Clean => c is Condition.Clean or Condition.Taken,
                Verb.Cut => c is Condition.Cut or Condition.Laid or Condition.Pressed,
                Verb.Lay => c is Condition.Laid or Condition.Pressed,
                Verb.Spread => c == Condition.Taken,
                Verb.Lift or Verb.Remove => c
                    is Condition.Off
                        or Condition.Stored
                        or Condition.InBox
                        or Condition.Raised,
                Verb.SetAside => c is Condition.Off or Condition.Stored,
                Verb.Lower => Closing().Any()
                    ? Closing().All(p => State.Is(p.Id, Condition.On))
                    : State.Is(Act.Thing, Condition.On) && Act.Thing.Kind != ThingKind.Board,
                Verb.Insert when Act.Thing.Kind == ThingKind.Board => c == Condition.InMachine,
                Verb.Insert when Act.To == ThingId.Jig => c == Condition.InJig,
                Verb.Fit or Verb.BringBack or Verb.Insert or Verb.Join => c == Condition.On,
                Verb.Open => c is Condition.Open or Condition.Off or Condition.Stored,
                Verb.Close => c is Condition.Closed or Condition.InBox,
                Verb.Shear => c is Condition.Off or Condition.Stored,
                Verb.Store => c == Condition.Stored,
                Verb.Press => c is Condition.Tight or Condition.Filled or Condition.Bled,
                Verb.Fill => c is Condition.Filled or Condition.Bled,
                Verb.Bleed => c == Condition.Bled,
                Verb.Drain => c == Condition.Empty,
                Verb.Run when Act.Thing == ThingId.Power => c == Condition.PowerOn,
                _ => false,
            };
            return done ? new(NeedCode.Already, [Act.Thing]) : null;
        }

        public Unmet? Powered() =>
            State.Is(ThingId.Power, Condition.PowerOn)
            && !Does(Verb.Run, Verb.Measure, Verb.Look, Verb.Note, Verb.PowerOff)
                ? new(NeedCode.Powered, [ThingId.Power])
                : null;

        public Unmet? Wet() =>
            Thing.Wetted
            && Does(Verb.Lift, Verb.Open, Verb.Remove, Verb.Unscrew)
            && State.Is(ThingId.Loop, Condition.Filled, Condition.Bled)
                ? new(NeedCode.Wet, [ThingId.Loop])
                : null;

        public Unmet? Order()
        {
            var (scene, state, act) = (Scene, State, Act);
            switch (act.Do)
            {
                case Verb.Measure:
                    return state.Is(ThingId.Power, Condition.PowerOn) ? null : new(NeedCode.Order, [ThingId.Power]);
                case Verb.Start or Verb.Turn or Verb.Fasten or Verb.Plug or Verb.Spread or Verb.Fit or Verb.Join:
                    if (
                        If(
                            Thing.On.Where(o => !Rests(o)).Concat(BeforePlate()).Concat(NotThere()).Concat(NotDown()),
                            NeedCode.Order
                        ) is
                        { } first
                    )
                        return first;
                    // new screws are started by hand; those of the stock go back into their own threads
                    return
                        (act.Do == Verb.Turn || act.Do == Verb.Fasten && Thing.Start == Condition.Out)
                        && !state.Is(act.Thing, Condition.Started, Condition.Turned)
                        ? new(NeedCode.Order, [act.Thing])
                        : null;
                case Verb.Lay:
                    return state.Is(act.Thing, Condition.Cut) ? null : new(NeedCode.Order, [act.Thing]);
                case Verb.PeelOuter when Thing.On.Count > 0:
                    return If(
                        Thing.On.Where(p => p.Kind != ThingKind.Sink && !state.Is(p, Condition.Laid)),
                        NeedCode.Order
                    );
                case Verb.PeelInner:
                    return If(Thing.On.Where(p => !state.Is(p, Condition.Cut)), NeedCode.Order);
                case Verb.Press:
                    // what water runs through is home, its ports closed
                    return If(
                        scene
                            .Things.Where(t =>
                                t.Wetted && t.Id.Kind == ThingKind.Block && !state.Is(t.Id, Condition.On)
                                || t.Id.Kind is ThingKind.Plug or ThingKind.Fitting or ThingKind.Link
                                    && !state.Is(t.Id, Condition.On)
                                || state.Is(t.Id, Condition.Started, Condition.Turned)
                            )
                            .Select(t => t.Id),
                        NeedCode.Order
                    );
                case Verb.Fill:
                    return state.Is(ThingId.Loop, Condition.Tight) ? null : new(NeedCode.DryLoop, [ThingId.Loop]);
                case Verb.Bleed:
                    return state.Is(ThingId.Loop, Condition.Filled) ? null : new(NeedCode.Order, [ThingId.Loop]);
                case Verb.Store:
                    // what is still in its place is not put away
                    return state.Is(act.Thing, Condition.On, Condition.Home, Condition.Plugged)
                        ? new(NeedCode.Order, [act.Thing])
                        : null;
                case Verb.SetAside:
                    return state.Is(act.Thing, Condition.Raised) ? null : new(NeedCode.Order, [act.Thing]);
                case Verb.Lower:
                    // posts stand before a block comes down over them; a block that is open is no block; what it
                    // rests on, and what lies on the board already, is home
                    return If(
                        Closing()
                            .SelectMany(c => c.On)
                            .Where(o => !Rests(o))
                            .Concat(Blocks().Where(b => state.Is(b, Condition.Open)))
                            .Concat(NotHome()),
                        NeedCode.Order
                    );
                default:
                    return Latches();
            }
        }

        /// <summary>Screws of what lies on the board, or of the block, already; those that wait for a plate behind aside.</summary>
        private IEnumerable<ThingId> NotHome()
        {
            var (state, scene) = (State, Scene);
            if (Act.Thing.Kind is ThingKind.Half or ThingKind.Carrier || Act.To is null or { Kind: ThingKind.Half })
                return [];
            var (a, b) = (Act.Thing.Owner, Act.To!.Value.Owner);
            // joined blocks come down as one
            var joined = Blocks().SelectMany(k => scene.JoinedTo(state, k)).Select(k => k.Owner).ToHashSet();
            return scene
                .Things.Where(t =>
                    t.Id.Kind == ThingKind.Screws
                    && !joined.Contains(t.Id.Owner)
                    && (t.Id.Owner == a || t.Id.Owner == b || t.Board == a || t.Board == b)
                    && t.On.Any(p => p.Kind == ThingKind.Plate && state.Is(p, Condition.On))
                    && !t.Holds.Any(h => !state.Is(h, Condition.On))
                    && !state.Is(t.Id, Condition.Home)
                )
                .Select(t => t.Id);
        }

        /// <summary>
        /// Stock pieces that are not in their place while their screws go back: every one that is wanted again; on the
        /// way to a block at least one, because the block may stand in for the other.
        /// </summary>
        private IEnumerable<ThingId> NotThere()
        {
            var (scene, state) = (Scene, State);
            var own = Act.Do is Verb.Start or Verb.Fasten && scene.Find(new(ThingKind.Block, Act.Thing.Owner)) is null;
            if (!own)
                return [];
            List<ThingId> held =
            [
                .. Thing.Holds.Where(h => h.Kind == ThingKind.Piece && (!scene.IsBack || scene.Find(h)!.Wanted)),
            ];
            var off = held.FindAll(h => !state.Is(h, Condition.On));
            return scene.IsBack || off.Count == held.Count ? off : [];
        }

        /// <summary>Blocks joined to the one whose screws are turned that do not lie on the board yet.</summary>
        private IEnumerable<ThingId> NotDown()
        {
            var (scene, state) = (Scene, State);
            return Act.Thing.Kind == ThingKind.Screws
                ? scene.JoinedTo(state, new(ThingKind.Block, Act.Thing.Owner)).Where(k => !state.Is(k, Condition.On))
                : [];
        }

        /// <summary>Screws of a block's front that are not home while its back plate is to go on.</summary>
        private IEnumerable<ThingId> BeforePlate()
        {
            var (state, act) = (State, Act);
            // a plate that the screws start through lies there before them
            return
                act is { Do: Verb.Fit, Thing.Kind: ThingKind.Backplate }
                && !Scene.HoldersOf(act.Thing).Any(s => s.On.Contains(act.Thing))
                ? Scene
                    .Things.Where(t =>
                        t.Id.Kind == ThingKind.Screws
                        && t.Id.Owner == act.Thing.Owner
                        && !t.Holds.Contains(act.Thing)
                        && t.On.Any(p => state.Is(p, Condition.On))
                        && !state.Is(t.Id, Condition.Home)
                    )
                    .Select(t => t.Id)
                : [];
        }

        private IEnumerable<ThingId> Blocks() =>
            new[] { Act.Thing, Act.To ?? Act.Thing }.Where(t => t.Kind == ThingKind.Block);

        /// <summary>Whether something is where what rests on it needs it.</summary>
        private bool Rests(ThingId on) =>
            Act.Thing.Kind == ThingKind.Link && on.Kind == ThingKind.Board
                ? State.Is(on, Condition.InMachine)
                : State.Is(on, There);

        /// <summary>Levers, clamps, packages, lids and blocks that come apart, each in its order.</summary>
        private Unmet? Latches()
        {
            var state = State;
            IEnumerable<ThingId> Own(ThingKind kind) =>
                Scene.OwnedBy(Act.Thing.Owner).Where(t => t.Id.Kind == kind).Select(t => t.Id);
            Unmet? Without(ThingKind kind, params Condition[] any) =>
                If(Own(kind).Where(t => !state.Is(t, any)), NeedCode.Order);
            return (Act.Do, Act.Thing.Kind) switch
            {
                (Verb.Open, ThingKind.Clamp) => Without(ThingKind.Levers, Condition.Open),
                (Verb.Close, ThingKind.Levers) => Without(ThingKind.Clamp, Condition.Closed),
                (Verb.Close, ThingKind.Clamp) => Without(ThingKind.Processor, Condition.On, Condition.Off),
                (Verb.Remove, ThingKind.Clamp) => Without(ThingKind.Clamp, Condition.Open),
                (Verb.Insert, ThingKind.Processor) when Act.To == ThingId.Jig => Without(
                    ThingKind.Processor,
                    Condition.Off,
                    Condition.InBox
                ),
                (Verb.Insert, ThingKind.Processor) => Without(
                    ThingKind.Clamp,
                    Condition.Open,
                    Condition.Off,
                    Condition.Stored
                )
                    // a lid that is here is to come off first
                    ?? Without(ThingKind.Lid, Condition.Off, Condition.Stored),
                (Verb.Warm, ThingKind.Processor) or (Verb.Shear, _) => Without(ThingKind.Processor, Condition.InJig),
                (Verb.Insert, ThingKind.Jet or ThingKind.Insert or ThingKind.Oring) => Without(
                    ThingKind.Block,
                    Condition.Open
                ),
                (Verb.Close, ThingKind.Block) => Without(ThingKind.Jet, Condition.On)
                    ?? Without(ThingKind.Insert, Condition.On)
                    ?? Without(ThingKind.Oring, Condition.On),
                _ => null,
            };
        }

        public Unmet? Reach()
        {
            if (Wrongly() is { } wrongly)
                return wrongly;
            if (Thing.Board is not { } board || Thing.Reach == Bench.Reach.Edge || !FacesBoard(Act))
                return null;
            // a lead under a raised piece is reached between the two
            if (Thing.Reach == Bench.Reach.Raised && Raised(Thing))
                return null;
            return State.Up.TryGetValue(board, out var up) && up != (Act.From ?? Thing.Face)
                ? new(NeedCode.Reach, [Act.Thing])
                : null;
        }

        /// <summary>What a board is lowered onto lies with that side up; what hangs together with it has been turned.</summary>
        private Unmet? Wrongly()
        {
            if (!Does(Verb.Lower) || Act.To is not { } to)
                return null;
            var (board, block) = Act.Thing.Kind == ThingKind.Board ? (Act.Thing, to) : (to, Act.Thing);
            return board.Kind == ThingKind.Board && State.Up.TryGetValue(board.Owner, out var up)
                ? If(
                    Packets
                        .Against(Scene, State, block.Owner, board.Owner, up)
                        .Select(b => new ThingId(ThingKind.Board, b)),
                    NeedCode.Reach
                )
                : null;
        }

        private bool Raised(SceneThing lead)
        {
            var state = State;
            return lead.Holds.Any(h => state.Is(h, Condition.Raised));
        }

        public Unmet? Covered()
        {
            if (
                !Does(
                    Verb.Unscrew,
                    Verb.Unplug,
                    Verb.Plug,
                    Verb.Clean,
                    Verb.Scrape,
                    Verb.Coat,
                    Verb.Spread,
                    Verb.Lift,
                    Verb.Lower,
                    Verb.Open,
                    Verb.Remove,
                    Verb.Insert
                )
            )
                return null;
            var state = State;
            var raised = Thing.Reach == Bench.Reach.Raised && Raised(Thing);
            var closers = Closing().Select(c => c.Id).ToHashSet();
            var over = Does(Verb.Lower) ? Closed().SelectMany(f => Scene.Find(f)?.Under ?? []) : Thing.Under;
            return raised
                ? null
                : If(
                    over.Where(o => o != Thing.Id && !closers.Contains(o) && state.Is(o, Condition.On)).Distinct(),
                    NeedCode.Covered
                );
        }

        /// <summary>Plates, and a back plate, that this act closes over their board.</summary>
        private IEnumerable<SceneThing> Closing() => Closers.By(Scene, Act);

        private IEnumerable<ThingId> Closed() => Closing().SelectMany(c => c.Closes).Distinct();

        public Unmet? Held()
        {
            var state = State;
            // a plate behind the board goes on before the screws that are to hold it
            var fits = Act is { Do: Verb.Fit, Thing.Kind: ThingKind.Backplate };
            // a package in its jig is out of its clamp
            return (Does(Verb.Lift, Verb.Remove) || fits) && !State.Is(Act.Thing, Condition.InJig)
                ? If(
                    Scene
                        .HoldersOf(Act.Thing)
                        .Concat(Does(Verb.Lift) ? Scene.KeptBy(Thing).Concat(KeptByJoined()) : [])
                        .Select(s => s.Id)
                        .Where(s => !state.Is(s, Loosened))
                        .Distinct(),
                    NeedCode.Held
                )
                : null;
        }

        /// <summary>What keeps the blocks down that are joined to the one that is lifted.</summary>
        private IEnumerable<SceneThing> KeptByJoined()
        {
            var scene = Scene;
            return Thing.Id.Kind == ThingKind.Block
                ? scene.JoinedTo(State, Thing.Id).SelectMany(k => scene.KeptBy(scene.Find(k)!))
                : [];
        }

        public Unmet? Tied()
        {
            var (scene, state, act) = (Scene, State, Act);
            var ties = scene.TiesOf(act.Thing).Where(l => state.Is(l.Id, Condition.Plugged));
            return act.Do switch
            {
                // what is reached only between the two may stay in while they are parted
                Verb.Lift => If(ties.Where(l => l.Reach != Bench.Reach.Raised).Select(l => l.Id), NeedCode.Tied),
                Verb.SetAside => If(ties.Select(l => l.Id), NeedCode.Tied),
                _ => null,
            };
        }

        public Unmet? Hands() =>
            Does(Verb.Hold) && State.Held.Count >= BenchState.Hands ? new(NeedCode.Hands, [.. State.Held]) : null;

        public Unmet? Falls() => Does(Verb.TurnOver) ? If(Loose(Scene, State, Act.Thing.Owner), NeedCode.Falls) : null;

        public Unmet? FilmsOn()
        {
            var (scene, state) = (Scene, State);
            if (Does(Verb.Lay))
                return If(
                    scene.FilmsOf(Act.Thing).Select(t => t.Id).Where(f => Inner(f) && state.Is(f, Condition.FilmOn)),
                    NeedCode.FilmsOn
                );
            if (Does(Verb.Fit) && Act.Thing.Kind == ThingKind.Sink)
                return If(
                    scene.FilmsOf(Act.Thing).Select(t => t.Id).Where(f => state.Is(f, Condition.FilmOn)),
                    NeedCode.FilmsOn
                );
            var closing = Closing().ToList();
            if (closing.Count == 0)
                return null;
            // stickers on its own faces, and what is still on the pads between
            var stickers = closing
                .Select(c => c.Id.Owner)
                .Distinct()
                .SelectMany(scene.OwnedBy)
                .Where(t => t.Id.Kind == ThingKind.Film && t.On.Count == 0);
            var films = closing
                .SelectMany(c => c.Takes)
                .Where(p => state.Is(p, Condition.Laid))
                .SelectMany(scene.FilmsOf);
            return If(
                stickers.Concat(films).Select(t => t.Id).Where(f => state.Is(f, Condition.FilmOn)).Distinct(),
                NeedCode.FilmsOn
            );
        }

        private static bool Inner(ThingId film) => film.Key.EndsWith("/inner", StringComparison.Ordinal);

        public Unmet? Dirty()
        {
            var state = State;
            if (Does(Verb.Lay, Verb.Fit) && Act.To is { Kind: ThingKind.Face } face)
                return state.Is(face, Condition.Dirty) ? new(NeedCode.Dirty, [face]) : null;
            if (Does(Verb.Spread, Verb.Coat))
                return state.Is(Act.Thing, Condition.Dirty) ? new(NeedCode.Dirty, [Act.Thing]) : null;
            return If(Closed().Where(f => state.Is(f, Condition.Dirty)), NeedCode.Dirty);
        }

        public Unmet? Bare()
        {
            var (scene, state) = (Scene, State);
            return If(
                Closed()
                    .Select(f => scene.Find(f)!)
                    .Where(f =>
                        f.TakesPaste && !state.Is(f.Id, Condition.Taken)
                        || f.Takes.Any(p => !state.Is(p, Condition.Laid, Condition.Pressed))
                    )
                    .Select(f => f.Id),
                NeedCode.Bare
            );
        }

        private bool Runs => Does(Verb.Run) && Act.Thing == ThingId.Power;

        /// <summary>Whether a block is on: only then does its loop count.</summary>
        private bool Watered
        {
            get
            {
                var state = State;
                return Scene.Things.Any(t => t.Wetted && state.Is(t.Id, Condition.On));
            }
        }

        public Unmet? DryLoop() =>
            Runs && Scene.HasLoop && Watered && !State.Is(ThingId.Loop, Condition.Filled, Condition.Bled)
                ? new(NeedCode.DryLoop, [ThingId.Loop])
                : null;

        public Unmet? LooseEnd()
        {
            if (!Runs)
                return null;
            var (scene, state, watered) = (Scene, State, Watered);
            return If(
                scene
                    .Things.Where(t =>
                        state.Is(t.Id, Condition.Started, Condition.Turned, Condition.Raised)
                        || (watered || scene.IsBack)
                            && t.Wanted
                            && !state.Is(t.Id, Condition.On, Condition.Plugged, Condition.Home)
                    )
                    .Select(t => t.Id),
                NeedCode.LooseEnd
            );
        }

        /// <summary>
        /// Whether the cooler of a face is off and nothing else is on. Where the documents do not say which stock
        /// piece cooled it, it was one of those that are off.
        /// </summary>
        private static bool Bared(Scene scene, BenchState state, SceneThing face)
        {
            if (face.Under.Any(o => state.Is(o, Condition.On)))
                return false;
            var stock = face.Under.Where(o => o.Kind == ThingKind.Piece).ToList();
            return stock.Count > 0
                || scene.Things.Any(t =>
                    t.Id.Kind == ThingKind.Piece
                    && t.Board == face.Board
                    && state.Is(t.Id, Condition.Raised, Condition.Off, Condition.Stored)
                );
        }

        public Unmet? Uncovered()
        {
            if (!Runs)
                return null;
            var (scene, state) = (Scene, State);
            return If(
                scene.Things.Where(t => t is { Hot: true } && Bared(scene, state, t)).Select(t => t.Id),
                NeedCode.Uncovered
            );
        }
    }

    /// <summary>What nothing but its own weight holds on a board: it would fall when the board is turned.</summary>
    public static IReadOnlyList<ThingId> Loose(Scene scene, BenchState state, string board)
    {
        var packet = Packets.Of(scene, state, board);
        return
        [
            .. scene
                .Things.Where(t =>
                    t.Board is { } own
                    && packet.Contains(own)
                    && t.Id.Kind is ThingKind.Piece or ThingKind.Backplate or ThingKind.Gasket or ThingKind.Processor
                    && state.Is(t.Id, Condition.On)
                    && !state.Held.Contains(t.Id)
                    // what lies between the board and a plate is held with that
                    && !(t.Id.Kind == ThingKind.Gasket && t.Under.Any(o => state.Is(o, Condition.On)))
                    && scene.HoldersOf(t.Id).Any()
                    && scene.HoldersOf(t.Id).All(s => state.Is(s.Id, Loosened))
                )
                .Select(t => t.Id),
        ];
    }
}
