namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of shop setting list.</summary>
internal static class ShopSettingListWords
{
    public const string MinClearHeightOverParts = "least clear height over parts";

    public const string PartsStandUpToFewTenths = "Parts can be a few tenths higher than drawn.";

    public const string CoolantAtBlocksInlet = "coolant at the block's inlet";

    public const string TakenWhereNothingWasMeasured =
        "Taken where nothing was measured: a radiator of fair size in a room of 22 °C.";

    public const string TakenWhereNothingWasMeasuredPast =
        "Taken where nothing was measured: past it a block gains little.";

    public const string PressureOfPumpAtNoFlow = "pressure of the pump at no flow";

    public const string OfShopsTestPump = "Of the shop's test pump.";

    public const string FlowOfPumpAtNoPressure = "flow of the pump at no pressure";

    public const string WhatHosesFittingsAndRadiatorTake = "what hoses, fittings and radiator take at 4 L/min";

    public const string OfShopsTestLoop = "Of the shop's test loop; it grows with the square of the flow.";

    public const string HoseOfUsualLoop = "hose of the usual loop";

    public const string WithBoreItSaysWhatHose = "With its bore it says what the hose holds.";

    public const string BoreOfHose = "bore of the hose";

    public const string MarkedInnerDiameter = "The marked inner diameter.";

    public const string WhatReservoirHolds = "what the reservoir holds";

    public const string WeighedFullAndEmptyOnce = "Weighed full and empty once: a gram is a millilitre of water.";

    public const string WhatRadiatorHolds = "what the radiator holds";

    public const string WaitOfRemover = "wait of the remover";

    public const string WhereDrawerStatesNone = "Where the drawer states none.";

    public const string WhatLidIsWarmed = "what a lid is warmed to";

    public const string WhereJigStatesNothing = "Where the jig states nothing: sealant gives way, nothing else does.";

    public const string AirAtBench = "air at the bench";

    public const string WhatLidCoolsDown = "What a lid cools down to, and warms up from.";

    public const string SoakOfGalliumAlloyIntoSolder = "soak of gallium alloy into solder";

    public const string TwentyMinutesTakeMost = "Twenty minutes take most of it; the rest is wiped.";

    public const string DryingOfCoatOverBareParts = "drying of a coat over bare parts";

    public const string DryToTouchIsNotDry = "Dry to the touch is not dry under alloy.";

    public const string PasteOverBareFilm = "paste over the bare film";

    public const string WhatRimTakes = "What the rim takes; a little too much does no harm.";

    public const string BeadThatHandDraws = "bead that a hand draws";

    public const string OfSyringeWithUsualTip = "Of a syringe with its usual tip.";

    public const string WhatLoggerItselfCosts = "what the logger itself costs";

    public const string ProgramThatReadsSensorsKeepsCard =
        "A program that reads sensors keeps the card a little busy: taken off the power that was read.";

    public const string LongestTimeBetweenPastings = "longest time between pastings";

    public const string WhateverDataSheetStates = "Applies whatever the paste's data sheet states.";

    public const string DayIsPlannedFromThen = "The day is planned from then on; by the shop's own clock.";

    public const string WorkGoesOnNextDay = "Work goes on the next day from then on.";

    public const string DaysOfWorkInWeek = "days of work in a week";

    public const string TwoLidsAreNotSheared = "Two lids are not sheared in one jig.";

    public const string ScrewsAreTurned = "Screws are turned with one in hand; as many benches can mount at once.";

    public const string LoopUnderTestKeeps = "A loop under test keeps one to itself.";

    public const string ServeShopsNetworkFromNextStart = "serve the shop's network, from the next start on";

    public const string OverHTTPSEachTabletLet =
        "Over HTTPS, each tablet let in by a code; else only this machine is answered.";

    public const string SquashThatSpringsBack = "squash that springs back";

    public const string PressedPadIsMeasuredAfter =
        "A pressed pad is measured after it was let go: so much of its squash comes back.";

    public const string MoreLiftsCornerOfDieOff = "More lifts a corner of the die off its paste.";

    public const string StrainBesidePackagesToWatch = "strain beside packages to watch";

    public const string OfWhatJointsTakeForMoment =
        "Of what joints take for a moment: what stays for years creeps, and half of it is held to be safe for "
        + "good.";

    public const string StrainBesidePackagesThatIsRisk = "strain beside packages that is a risk";

    public const string OfWhatJointsTakeForMomentPast =
        "Of what joints take for a moment: past the whole of it they can crack while the screws are turned.";

    public const string StripBetweenTwoParts = "strip between two parts";

    public const string OfPadsStressOverPart =
        "Of the pad's stress over a part: between parts nothing presses a strip from below, it only holds itself.";

    public const string HoldOfLeakTest = "hold of a leak test";

    public const string ShorterWeepingJointHidesInWarming = "Shorter, a weeping joint hides in the warming of the air.";

    public const string DriftUntilPasteIsDue = "drift until the paste is due";

    public const string FromThereOnLossIsFelt = "From there on the loss is felt in noise and clocks.";

    public const string OfShopsOwnSupplier = "Of the shop's own supplier.";

    public const string SquareCentimetreOfPadPrice = "a square centimetre of pad, price";

    public const string GramOfPastePrice = "a gram of paste, price";

    public const string MinSquashOfPad = "least squash of a pad";

    public const string OnTopOfWhatMakerAsks = "On top of what its maker asks for: 0 leaves that as it is.";

    public const string MaxSquashOfPad = "most squash of a pad";

    public const string HoweverMuchMakerAllows = "However much its maker allows: 1 leaves that as it is.";

    public const string ResistanceOfPadsFace = "resistance of a pad's face";

    public const string WhereDrawerStatesNoneWhatFace =
        "Where the drawer states none: what a face costs that is pressed, not glued.";

    public const string ShareOfClaimedConductivity = "share of a claimed conductivity that is calculated with";

    public const string WhereNothingWasMeasured = "Where nothing was measured: makers measure without the faces.";

    public const string ChanceFromWhichMeasuredBoardSeats = "chance from which a measured board seats";

    public const string PositionsOfTracedBoardAreKnown =
        "Positions of a traced board are known to a few tenths: below this it is measured first.";

    public const string ChanceBelowWhichMeasuredBoardClashes = "chance below which a measured board clashes";

    public const string BetweenTwoItIsUnproven = "Between the two it is unproven.";

    public const string LogHasSettledWithin = "a log has settled within";

    public const string OfWhereItEnds = "Of where it ends; a reading from a log is taken from there on.";

    public const string HoldDownLoadKeptClear = "hold-down load kept clear of its limits";

    public const string SpringsAndDocumentsVary =
        "Springs and documents vary: limits of dies and socket contacts are taken, and shown, narrower by this "
        + "share.";

    public const string FaultsHowOftenMet = "Faults, how often met";

    public const string OfHundredCardsThatReadOdd = "Of a hundred cards that read odd, half are well.";

    public const string CommonestSlipOneFaceOfPad = "The commonest slip: one face of a pad keeps its film.";

    public const string OverAllPlacesTogether = "Over all places together.";

    public const string TwoThicknessesLookAlikeInHand = "Two thicknesses look alike in the hand.";

    public const string CornerOfDieLeftBare = "A corner of a die left bare.";

    public const string OneCornerStandsHigh = "One corner stands high.";

    public const string SomethingHoldsBlockOffDie = "Something holds the block off the die.";

    public const string FlowLowerThanBelieved = "flow lower than believed";

    public const string KinkFilterSlowPump = "A kink, a filter, a slow pump.";

    public const string OfLoopThatWasFilledLately = "Of a loop that was filled lately.";

    public const string OfCardThatRanWarm = "Of a card that ran warm and cold for long.";

    public const string LoggerCanBeWrongToo = "A logger can be wrong too.";

    public const string CurrencyOfShopsOwnPrices = "currency of the shop's own prices";

    public const string NamesMoneyPricesAreNotConverted = "Names the money; prices are not converted.";

    public const string DecimalMarkOfFigures = "decimal mark of figures";

    public const string AsShopsClientsReadThem =
        "As the shop's clients read them. Files for other programs keep the point.";

    public const string ForWhoThinksInThem = "For who thinks in them. Nothing is calculated in inches.";

    public const string FilmLeftOnPad = "film left on a pad";

    public const string AirInFins = "air in the fins";

    public const string SensorOrPowerMisread = "sensor or power misread";
}
