export { seeded, type Seeded } from "@/core/trials/simulated/seeded";
