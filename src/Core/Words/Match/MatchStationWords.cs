namespace FaithfulBracket.Core.Words.Match;

/// <summary>Sentences of match station.</summary>
internal static class MatchStationWords
{
    public const string ReadWhatStandsBetweenBlocks =
        "Read what stands between the blocks and choose again, or sign knowing it";

    public const string BlockIsNotBoardsHeight = "the block is not the boards' height";

    public const string RigidLinkDoesNotReach = "a rigid link does not reach";

    public const string TwoCardsWantOneSlot = "two cards want one slot";

    public const string RibbonWouldBePinched = "a ribbon would be pinched";

    public static string CompareLabelOn(string carrier, string of) => $"Compare the label on the {carrier} with {of}";

    public static string NoLabelOnThisBoard(string on) =>
        $"No label on this board{on}: compare it bare with the drawing on the mat";

    public const string BoardCodeAndRevisionNotModel =
        "Board code and revision, not the model name: one model is sold on several boards.";

    public const string HolesDieAndPartsRound =
        "Holes, die and the parts round it decide; look for a twin before anything is bought.";

    public static string ReadVerdictOnAndChooseAnother(string maker, string model) =>
        $"Read the verdict on {maker} {model} and choose another block, or sign knowing it";

    public static string ReadVerdictOnAndAccept(string maker, string model) =>
        $"Read the verdict on {maker} {model} and accept it";

    public const string PlatesAreMadeForBoard = "Its plates are made for a board that is not in this order.";

    public const string BlockThatDoesNotSeat = "A block that does not seat can crack the die or bend the board.";

    public const string LabelAgrees = "The label agrees";

    public const string BoardAgrees = "The board agrees";

    public const string AcceptThisBlock = "Accept this block";
}
