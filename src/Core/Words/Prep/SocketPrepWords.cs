namespace FaithfulBracket.Core.Words.Prep;

/// <summary>Sentences of socket prep.</summary>
internal static class SocketPrepWords
{
    public static Message ClampOffFirst => $"Clamp off first; nothing may touch the open contacts.";

    public static Message KeepCoverOnUntilPackageLies => $"Keep the cover on until the package lies over the contacts.";

    public static Message UnderCoverWhichComesOff =>
        $"Under its cover, which comes off by itself when the clamp closes.";

    public static Message MarkToMarkLiesFlat => $"Mark to mark, lies flat";

    public static Message ContactsBendUnderFingertip =>
        $"Contacts bend under a fingertip: hold the package by its edges, straight down, no sliding.";

    public static Message LoosenClampsScrewsSwingItUp =>
        $"Loosen the clamp's screws, swing it up, and close it the same way.";

    public static Message LeverOutAndUpClampOpen => $"Lever out and up, clamp open; afterwards clamp down, lever home.";

    public static Message LeverUpThenLever => $"Lever 1 up, then lever 2; afterwards lever 2 home first, lever 1 last.";

    public static Message FrameInPlaceOfClamp(double torque) =>
        $"Fit the frame in place of the clamp: screws loose, then to {torque:0.00} N·m each";

    public static Message FrameInPlaceOfClampScrews =>
        $"Fit the frame in place of the clamp: screws loose, then just firm";

    public static Message SomethingSoftUnderBoard =>
        $"Something soft under the board first, so that the back plate does not fall. The frame holds the "
        + $"package; it does not make the contact pressure.";

    public static Message WellUnderNM => $"Well under 1 N·m: a frame drawn tight bends the package.";

    public static Message EachScrewTurnsLightAndThen =>
        $"Each screw turns light and then stops; the package does not move under the frame.";

    public static Message OpenAndLookAtFins(string pair) => $"Open {pair} and look at its fins";

    public static Message StickerStaysOnFaceMeanwhile =>
        $"Leave the sticker on the face. Work over a tray. The O-ring can stick to the lid and parts can drop out.";

    public static Message FinsCleanAndStraight => $"Fins clean and straight";

    public static Message LightFallsThroughEveryGap =>
        $"Light falls through every gap between the fins; nothing shines or sticks in them.";

    public static Message InsertInOutletsPathClear(string insert) =>
        $"Fit insert {insert}, the outlet's path clear over it";

    public static Message ItCrownsFace(double bow) => $"It crowns the face by {bow:0.00} mm.";

    public static Message ItLiesInBedByOwn => $"It lies in its bed by its own weight and does not rock.";

    public static Message HoldBlockAsItWillSit(double turnDeg, string ports) =>
        $"Hold the block as it will sit, turned {turnDeg:0}°: {ports}";

    public static Message HoldBlockAsItWillSitAndLook =>
        $"Hold the block as it will sit and look where its ports point";

    public static Message TurningOnlyTopMovesPorts =>
        $"Turning only the top moves the ports and leaves jet and fins. Does the loop reach them?";

    public static Message BothHosesReachTheirPorts =>
        $"Both hoses reach their ports in an easy curve, none against board or case.";

    public static Message FitORingIntoGroove => $"Fit the O-ring into its groove, all round, without a twist";

    public static Message HairUnderORingCausesLeak => $"A hair under the O-ring causes a leak.";

    public static Message FingertipRunsRoundItWithoutStep =>
        $"A fingertip runs round it without a step or a soft spot.";

    public static Message CloseBlocksScrewsEvenlyAlmostHome => $"Close the block's screws evenly, almost home";

    public static Message OppositeOnesByTurns => $"Opposite ones by turns; the gap stays even all round.";

    public static Message TurnEachScrewHome => $"Turn each screw home, in turn";

    public static Message GapIsClosedAllRound =>
        $"The gap is closed all round, no ring in sight; each screw stops hard.";

    public static Message QuarterTurn => $" (rotate it a quarter turn)";

    public static Message FitJetPlateWithSlitAcrossFins(string jet, string quarterTurn) =>
        $"Fit jet plate {jet} with its slit across the fins{quarterTurn}";

    public static Message AcrossFinsCoolantPartsToBoth =>
        $"Across the fins coolant parts to both sides; along them it runs through one gap.";

    public static Message AsItComesSlitLiesAlong =>
        $"As it comes the slit lies along the fins: coolant would run through one gap and leave the rest warm.";

    public static Message TurnedWithBlockSlitAndFins =>
        $"Turned with the block, slit and fins stay as they are: only the plate itself can be wrong.";

    public static Message ThroughInletYouSeeFins =>
        $"Through the inlet you see fins to the left and right of the slit, not one gap along it.";

    public static Message FitRubberGasketBehindBoard =>
        $"Fit the rubber gasket behind the board, its notch over the socket's own";

    public static Message ItKeepsMetalPlateOffSolder => $"It keeps the metal plate off the solder.";

    public static Message ItLiesFlatNoEdge => $"It lies flat, no edge of the socket's plate under it.";

    public static Message LayBackPlateOnIt => $"Lay the back plate on it, its cut-outs over the clamp's screws";

    public static Message HoldItWithOneHandWhile =>
        $"Hold it with one hand while the board is turned over; plastic washers in front.";

    public static Message MetalOnSolderIsShortCircuit =>
        $"Metal on solder causes a short circuit. Do not fit the plate without the gasket.";

    public static Message ItLiesFlatOnGasket => $"It lies flat on the gasket; light falls through every post hole.";

    public static Message PostsIntoSocketsFrameDown(int posts) =>
        $"Screw {posts} posts into the socket's frame, down to the shoulder, then tighten them";

    public static Message PostsIntoBackPlateThenTight(int posts) =>
        $"Screw {posts} posts into the back plate, then tighten them";

    public static Message StartEachByHandDo =>
        $"Start each by hand, do not strip the plate's thread. A loose post comes out later instead of its nut.";

    public static Message EachBitesByHandAndStops => $"Each bites by hand and stops at its shoulder; none leans.";
}
