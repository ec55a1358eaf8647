namespace FaithfulBracket.Core.Orders;

/// <summary>What kind of work an order is: read off its documents, never stated.</summary>
public enum JobKind
{
    FullCover,
    CoreOnly,
    TwinBoard,
    TwoDies,
    Workstation,
    PlugInModule,
    UnknownMake,
    Machine,
    BackPlate,
    MainboardOnePiece,
    MainboardSplit,
    MainboardBridged,
    Socket,
    SocketUpgrade,
    DirectDie,
    DirectDieSeveral,
    Memory,
    Console,
}
