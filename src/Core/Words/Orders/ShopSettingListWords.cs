namespace FaithfulBracket.Core.Words.Orders;

/// <summary>Sentences of shop setting list.</summary>
internal static class ShopSettingListWords
{
    public static Message MinClearHeightOverParts => $"least clear height over parts";

    public static Message PartsStandUpToFewTenths => $"Parts can be a few tenths higher than drawn.";

    public static Message CoolantAtBlocksInlet => $"coolant at the block's inlet";

    public static Message TakenWhereNothingWasMeasured =>
        $"Taken where nothing was measured: a radiator of fair size in a room of 22 °C.";

    public static Message TakenWhereNothingWasMeasuredPast =>
        $"Taken where nothing was measured: past it a block gains little.";

    public static Message PressureOfPumpAtNoFlow => $"pressure of the pump at no flow";

    public static Message OfShopsTestPump => $"Of the shop's test pump.";

    public static Message FlowOfPumpAtNoPressure => $"flow of the pump at no pressure";

    public static Message WhatHosesFittingsAndRadiatorTake => $"what hoses, fittings and radiator take at 4 L/min";

    public static Message OfShopsTestLoop => $"Of the shop's test loop; it grows with the square of the flow.";

    public static Message HoseOfUsualLoop => $"hose of the usual loop";

    public static Message WithBoreItSaysWhatHose => $"With its bore it says what the hose holds.";

    public static Message BoreOfHose => $"bore of the hose";

    public static Message MarkedInnerDiameter => $"The marked inner diameter.";

    public static Message WhatReservoirHolds => $"what the reservoir holds";

    public static Message WeighedFullAndEmptyOnce => $"Weighed full and empty once: a gram is a millilitre of water.";

    public static Message WhatRadiatorHolds => $"what the radiator holds";

    public static Message WaitOfRemover => $"wait of the remover";

    public static Message WhereDrawerStatesNone => $"Where the drawer states none.";

    public static Message WhatLidIsWarmed => $"what a lid is warmed to";

    public static Message WhereJigStatesNothing =>
        $"Where the jig states nothing: sealant gives way, nothing else does.";

    public static Message AirAtBench => $"air at the bench";

    public static Message WhatLidCoolsDown => $"What a lid cools down to, and warms up from.";

    public static Message SoakOfGalliumAlloyIntoSolder => $"soak of gallium alloy into solder";

    public static Message TwentyMinutesTakeMost => $"Twenty minutes take most of it; the rest is wiped.";

    public static Message DryingOfCoatOverBareParts => $"drying of a coat over bare parts";

    public static Message DryToTouchIsNotDry => $"Dry to the touch is not dry under alloy.";

    public static Message PasteOverBareFilm => $"paste over the bare film";

    public static Message WhatRimTakes => $"What the rim takes; a little too much does no harm.";

    public static Message BeadThatHandDraws => $"bead that a hand draws";

    public static Message OfSyringeWithUsualTip => $"Of a syringe with its usual tip.";

    public static Message WhatLoggerItselfCosts => $"what the logger itself costs";

    public static Message ProgramThatReadsSensorsKeepsCard =>
        $"A program that reads sensors keeps the card a little busy: taken off the power that was read.";

    public static Message LongestTimeBetweenPastings => $"longest time between pastings";

    public static Message WhateverDataSheetStates => $"Applies whatever the paste's data sheet states.";

    public static Message DayIsPlannedFromThen => $"The day is planned from then on; by the shop's own clock.";

    public static Message WorkGoesOnNextDay => $"Work goes on the next day from then on.";

    public static Message DaysOfWorkInWeek => $"days of work in a week";

    public static Message TwoLidsAreNotSheared => $"Two lids are not sheared in one jig.";

    public static Message ScrewsAreTurned => $"Screws are turned with one in hand; as many benches can mount at once.";

    public static Message LoopUnderTestKeeps => $"A loop under test keeps one to itself.";

    public static Message ServeShopsNetworkFromNextStart => $"serve the shop's network, from the next start on";

    public static Message OverHTTPSEachTabletLet =>
        $"Over HTTPS, each tablet let in by a code; else only this machine is answered.";

    public static Message SquashThatSpringsBack => $"squash that springs back";

    public static Message PressedPadIsMeasuredAfter =>
        $"A pressed pad is measured after it was let go: so much of its squash comes back.";

    public static Message MoreLiftsCornerOfDieOff => $"More lifts a corner of the die off its paste.";

    public static Message StrainBesidePackagesToWatch => $"strain beside packages to watch";

    public static Message OfWhatJointsTakeForMoment =>
        $"Of what joints take for a moment: what stays for years creeps, and half of it is held to be safe for "
        + $"good.";

    public static Message StrainBesidePackagesThatIsRisk => $"strain beside packages that is a risk";

    public static Message OfWhatJointsTakeForMomentPast =>
        $"Of what joints take for a moment: past the whole of it they can crack while the screws are turned.";

    public static Message StripBetweenTwoParts => $"strip between two parts";

    public static Message OfPadsStressOverPart =>
        $"Of the pad's stress over a part: between parts nothing presses a strip from below, it only holds itself.";

    public static Message HoldOfLeakTest => $"hold of a leak test";

    public static Message ShorterWeepingJointHidesInWarming =>
        $"Shorter, a weeping joint hides in the warming of the air.";

    public static Message DriftUntilPasteIsDue => $"drift until the paste is due";

    public static Message FromThereOnLossIsFelt => $"From there on the loss is felt in noise and clocks.";

    public static Message OfShopsOwnSupplier => $"Of the shop's own supplier.";

    public static Message SquareCentimetreOfPadPrice => $"a square centimetre of pad, price";

    public static Message GramOfPastePrice => $"a gram of paste, price";

    public static Message MinSquashOfPad => $"least squash of a pad";

    public static Message OnTopOfWhatMakerAsks => $"On top of what its maker asks for: 0 leaves that as it is.";

    public static Message MaxSquashOfPad => $"most squash of a pad";

    public static Message HoweverMuchMakerAllows => $"However much its maker allows: 1 leaves that as it is.";

    public static Message ResistanceOfPadsFace => $"resistance of a pad's face";

    public static Message WhereDrawerStatesNoneWhatFace =>
        $"Where the drawer states none: what a face costs that is pressed, not glued.";

    public static Message ShareOfClaimedConductivity => $"share of a claimed conductivity that is calculated with";

    public static Message WhereNothingWasMeasured => $"Where nothing was measured: makers measure without the faces.";

    public static Message ChanceFromWhichMeasuredBoardSeats => $"chance from which a measured board seats";

    public static Message PositionsOfTracedBoardAreKnown =>
        $"Positions of a traced board are known to a few tenths: below this it is measured first.";

    public static Message ChanceBelowWhichMeasuredBoardClashes => $"chance below which a measured board clashes";

    public static Message BetweenTwoItIsUnproven => $"Between the two it is unproven.";

    public static Message LogHasSettledWithin => $"a log has settled within";

    public static Message OfWhereItEnds => $"Of where it ends; a reading from a log is taken from there on.";

    public static Message HoldDownLoadKeptClear => $"hold-down load kept clear of its limits";

    public static Message SpringsAndDocumentsVary =>
        $"Springs and documents vary: limits of dies and socket contacts are taken, and shown, narrower by this "
        + $"share.";

    public static Message FaultsHowOftenMet => $"Faults, how often met";

    public static Message OfHundredCardsThatReadOdd => $"Of a hundred cards that read odd, half are well.";

    public static Message CommonestSlipOneFaceOfPad => $"The commonest slip: one face of a pad keeps its film.";

    public static Message OverAllPlacesTogether => $"Over all places together.";

    public static Message TwoThicknessesLookAlikeInHand => $"Two thicknesses look alike in the hand.";

    public static Message CornerOfDieLeftBare => $"A corner of a die left bare.";

    public static Message OneCornerStandsHigh => $"One corner stands high.";

    public static Message SomethingHoldsBlockOffDie => $"Something holds the block off the die.";

    public static Message FlowLowerThanBelieved => $"flow lower than believed";

    public static Message KinkFilterSlowPump => $"A kink, a filter, a slow pump.";

    public static Message OfLoopThatWasFilledLately => $"Of a loop that was filled lately.";

    public static Message OfCardThatRanWarm => $"Of a card that ran warm and cold for long.";

    public static Message LoggerCanBeWrongToo => $"A logger can be wrong too.";

    public static Message CurrencyOfShopsOwnPrices => $"currency of the shop's own prices";

    public static Message NamesMoneyPricesAreNotConverted => $"Names the money; prices are not converted.";

    public static Message DecimalMarkOfFigures => $"decimal mark of figures";

    public static Message AsShopsClientsReadThem =>
        $"As the shop's clients read them. Files for other programs keep the point.";

    public static Message ForWhoThinksInThem => $"For who thinks in them. Nothing is calculated in inches.";

    public static Message FilmLeftOnPad => $"film left on a pad";

    public static Message AirInFins => $"air in the fins";

    public static Message SensorOrPowerMisread => $"sensor or power misread";
}
