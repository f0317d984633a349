/** Who somebody is in the club, in words. */
export const roleNames: Readonly<Record<string, string>> = { 'head-coach': 'Head coach', coach: 'Coach', trainee: 'Trainee' };
