import type { Card } from "./card";
import { CardPlayer } from "./player";
import "./player.css";

const data = document.getElementById("card-data")?.textContent;
const main = document.getElementById("card");
if (data && main) new CardPlayer(JSON.parse(data) as Card, main);
