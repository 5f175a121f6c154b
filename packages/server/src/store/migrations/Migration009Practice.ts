import { Migration } from '@mikro-orm/migrations';

/** Practice: who learns, the customers they had, what they answered. Only the practice database of a shop has rows in them. */
export class Migration009Practice extends Migration {
  override up(): void {
    for (const sql of [
      `create table "learner" ("id" text not null, "name" text not null, "at" datetime not null, primary key ("id"))`,
      `create unique index "learner_name_unique" on "learner" ("name")`,
      `create table "practice_round" ("id" text not null, "name" text not null, "level" integer not null, "customers" integer not null, "seed" integer not null, "at" datetime not null, primary key ("id"))`,
      `create table "practice_visit" ("id" text not null, "learner_id" text not null, "round_id" text null, "place" integer not null, "level" integer not null, "life" integer not null, "given" text not null, "words" text not null, "deeds" text not null, "docket_id" text null, "helped" integer not null, "over" integer not null, "account" text null, "at" datetime not null, "ended_at" datetime null, primary key ("id"))`,
      `create index "practice_visit_learner_id_index" on "practice_visit" ("learner_id")`,
      `create index "practice_visit_round_id_index" on "practice_visit" ("round_id")`,
      `create table "practice_answer" ("id" integer not null primary key autoincrement, "learner_id" text not null, "skill" text not null, "variant" text not null, "seed" integer not null, "right" integer not null, "ms" integer not null, "ability" double not null, "variance" double not null, "at" datetime not null)`,
      `create index "practice_answer_learner_id_index" on "practice_answer" ("learner_id")`,
      `create table "practice_question" ("skill" text not null, "variant" text not null, "hardness" double not null, "variance" double not null, primary key ("skill", "variant"))`,
      `create table "practice_card" ("learner_id" text not null, "skill" text not null, "variant" text not null, "card" text not null, "due" datetime not null, primary key ("learner_id", "skill", "variant"))`,
    ])
      this.addSql(sql);
  }
}
