namespace FaithfulBracket.Core.Words.Kit;

/// <summary>Sentences of socket kit.</summary>
internal static class SocketKitWords
{
    public static Message OpenAndLayItBesideBlock(string kit) => $"Open {kit} and lay it beside the block";

    public static Message SocketNeedsIt(string socket) =>
        $"Socket {socket} needs it; the parts in the block's own bag for other sockets stay closed.";

    public static Message PickPostsForSocket(int posts, string socket, string kinds) =>
        $"Pick {posts} posts for socket {socket}: {kinds}";

    public static Message DistinguishedByTheirThreads =>
        $"Distinguish them by their threads. Count springs and nuts with them; a washer may be stuck inside a nut.";

    public static Message FindJetPlateAtCaliper(string jet, double mm) =>
        $"Find jet plate {jet} at the caliper: {mm:0.00} mm";

    public static Message JetPlatesCarryNoMark => $"Jet plates carry no mark: their thickness tells them apart.";

    public static Message FindInsertMarkIsSmall(string insert) => $"Find insert {insert}, its mark is small";

    public static Message ItCrownsBlocksFace(double bow) =>
        $"It crowns the block's face by {bow:0.00} mm over this lid.";

    public static Message LayOutWashersOfUnderEach(string inWords) =>
        $"Lay out washers of {inWords}, under each spring";

    public static Message ContactLiesLowerThanSprings =>
        $"The contact lies lower than the springs are made for; the washers give back their load.";

    public static Message BoardsOwnPlateBehindSocketStays =>
        $"The board's own plate behind the socket stays: check that it is there";

    public static Message AndRubberGasket => $" and its rubber gasket";

    public static Message LayOutBackPlateAndPlastic(string andItsRubberGasket) =>
        $"Lay out the back plate{andItsRubberGasket}, and a plastic washer for each post";

    public static Message GasketsNotchGoesOverSocketsOwn =>
        $"The gasket's notch goes over the socket's own; the plate's cut-outs over the clamp's screws.";

    public static Message PlatesCutOutsGoOverClamps => $"The plate's cut-outs go over the clamp's screws.";
}
