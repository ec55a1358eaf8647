namespace FaithfulBracket.Core.Boards.Bow;

/// <summary>Laminate of the bare board, and how well solder joins what lies on it.</summary>
/// <param name="EMPa">Young's modulus of the laminate with its copper, MPa.</param>
/// <param name="Nu">Its Poisson's ratio.</param>
/// <param name="Joined">How much solder makes package and board one plate, 0 to 1.</param>
/// <param name="Elements">About so many plate elements.</param>
public sealed record BoardStiffness(
    double EMPa = 22_000,
    double Nu = 0.15,
    double Joined = Substrate.UsualJoined,
    int Elements = 1600
);
