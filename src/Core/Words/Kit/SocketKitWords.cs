namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of socket kit.</summary>
internal static class SocketKitWords
{
    public static string OpenAndLayItBesideBlock(string kit) => $"Open {kit} and lay it beside the block";

    public static string SocketNeedsIt(string socket) =>
        $"Socket {socket} needs it; the parts in the block's own bag for other sockets stay closed.";

    public static string PickPostsForSocket(int posts, string socket, string kinds) =>
        $"Pick {posts} posts for socket {socket}: {kinds}";

    public const string DistinguishedByTheirThreads =
        "Distinguish them by their threads. Count springs and nuts with them; a washer may be stuck inside a nut.";

    public static string FindJetPlateAtCaliper(string jet, double mm) =>
        $"Find jet plate {jet} at the caliper: {mm:0.00} mm";

    public const string JetPlatesCarryNoMark = "Jet plates carry no mark: their thickness tells them apart.";

    public static string FindInsertMarkIsSmall(string insert) => $"Find insert {insert}, its mark is small";

    public static string ItCrownsBlocksFace(double bow) =>
        $"It crowns the block's face by {bow:0.00} mm over this lid.";

    public static string LayOutWashersOfUnderEach(string inWords) => $"Lay out washers of {inWords}, under each spring";

    public const string ContactLiesLowerThanSprings =
        "The contact lies lower than the springs are made for; the washers give back their load.";

    public const string BoardsOwnPlateBehindSocketStays =
        "The board's own plate behind the socket stays: check that it is there";

    public const string AndRubberGasket = " and its rubber gasket";

    public static string LayOutBackPlateAndPlastic(string andItsRubberGasket) =>
        $"Lay out the back plate{andItsRubberGasket}, and a plastic washer for each post";

    public const string GasketsNotchGoesOverSocketsOwn =
        "The gasket's notch goes over the socket's own; the plate's cut-outs over the clamp's screws.";

    public const string PlatesCutOutsGoOverClamps = "The plate's cut-outs go over the clamp's screws.";
}
