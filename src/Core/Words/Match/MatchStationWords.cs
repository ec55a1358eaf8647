namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of match station.</summary>
internal static class MatchStationWords
{
    public static Message ReadWhatStandsBetweenBlocks =>
        $"Read what stands between the blocks and choose again, or sign knowing it";

    public static Message BlockIsNotBoardsHeight => $"the block is not the boards' height";

    public static Message RigidLinkDoesNotReach => $"a rigid link does not reach";

    public static Message TwoCardsWantOneSlot => $"two cards want one slot";

    public static Message RibbonWouldBePinched => $"a ribbon would be pinched";

    public static Message CompareLabelOn(string carrier, string of) => $"Compare the label on the {carrier} with {of}";

    public static Message NoLabelOnThisBoard(string on) =>
        $"No label on this board{on}: compare it bare with the drawing on the mat";

    public static Message BoardCodeAndRevisionNotModel =>
        $"Board code and revision, not the model name: one model is sold on several boards.";

    public static Message HolesDieAndPartsRound =>
        $"Holes, die and the parts round it decide; look for a twin before anything is bought.";

    public static Message ReadVerdictOnAndChooseAnother(string maker, string model) =>
        $"Read the verdict on {maker} {model} and choose another block, or sign knowing it";

    public static Message ReadVerdictOnAndAccept(string maker, string model) =>
        $"Read the verdict on {maker} {model} and accept it";

    public static Message PlatesAreMadeForBoard => $"Its plates are made for a board that is not in this order.";

    public static Message BlockThatDoesNotSeat => $"A block that does not seat can crack the die or bend the board.";

    public static Message LabelAgrees => $"The label agrees";

    public static Message BoardAgrees => $"The board agrees";

    public static Message AcceptThisBlock => $"Accept this block";
}
